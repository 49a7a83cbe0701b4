import type { InputForms } from "../inputReads.ts";

/** How macros read what is typed in: by boxes, which give text. */
export const macroInput: InputForms = {
  reads: [
    { form: /(?<name>\w+)[%&!#@$]?(?:\s*\([^)]*\))?\s*=\s*(?:CInt|CLng)\s*\(\s*InputBox\b/iu, kind: "whole" },
    { form: /(?<name>\w+)[%&!#@$]?(?:\s*\([^)]*\))?\s*=\s*(?:Val|CDbl|CSng)\s*\(\s*InputBox\b/iu, kind: "decimal" },
    { form: /(?<name>\w+)[%&!#@$]?(?:\s*\([^)]*\))?\s*=\s*InputBox\b/iu, kind: "text" },
    { form: /\bInputBox\b/iu, kind: "text" },
  ],
  conversions: [
    { form: /\b(?:CInt|CLng)\s*\(\s*(?<name>\w+)/iu, kind: "whole" },
    { form: /\b(?:Val|CDbl|CSng)\s*\(\s*(?<name>\w+)/iu, kind: "decimal" },
    { form: /\bDim\s+(?<name>\w+)\s+As\s+(?:Integer|Long)\b/iu, kind: "whole" },
    { form: /\bDim\s+(?<name>\w+)\s+As\s+(?:Double|Single)\b/iu, kind: "decimal" },
  ],
};
