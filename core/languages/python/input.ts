import type { InputForms } from "../inputReads.ts";

/** How Python programs read what is typed in. */
export const pythonInput: InputForms = {
  reads: [
    { form: /(?<name>[\w.]+)(?:\s*\[[^\]]*\])?\s*=\s*int\s*\(\s*(?:input|sys\.stdin\.readline)\s*\(/u, kind: "whole" },
    {
      form: /(?<name>[\w.]+)(?:\s*\[[^\]]*\])?\s*=\s*float\s*\(\s*(?:input|sys\.stdin\.readline)\s*\(/u,
      kind: "decimal",
    },
    { form: /(?<name>\w+)\.append\s*\(\s*int\s*\(\s*input\s*\(/u, kind: "whole" },
    { form: /(?<name>\w+)\.append\s*\(\s*float\s*\(\s*input\s*\(/u, kind: "decimal" },
    { form: /(?<name>\w+)\.append\s*\(\s*input\s*\(/u, kind: "text" },
    { form: /(?<name>[\w.]+)(?:\s*\[[^\]]*\])?\s*=\s*(?:input|sys\.stdin\.readline)\s*\(/u, kind: "text" },
    { form: /\bint\s*\(\s*input\s*\(/u, kind: "whole" },
    { form: /\bfloat\s*\(\s*input\s*\(/u, kind: "decimal" },
    { form: /\binput\s*\(/u, kind: "text" },
  ],
  conversions: [
    { form: /\bint\s*\(\s*(?<name>\w+)\s*\)/u, kind: "whole" },
    { form: /\bfloat\s*\(\s*(?<name>\w+)\s*\)/u, kind: "decimal" },
  ],
};
