import type { InputForms } from "../inputReads.ts";

/** How Octave programs read what is typed in. */
export const octaveInput: InputForms = {
  reads: [
    { form: /(?<name>\w+)(?:\s*\([^)]*\))?\s*=\s*input\s*\((?:[^()]|\([^()]*\))*,\s*["']s["']\s*\)/u, kind: "text" },
    {
      form: /(?<name>\w+)(?:\s*\([^)]*\))?\s*=\s*(?:str2double|str2num)\s*\(\s*(?:input|fgetl)\s*\(/u,
      kind: "decimal",
    },
    { form: /(?<name>\w+)(?:\s*\([^)]*\))?\s*=\s*input\s*\(/u, kind: "decimal" },
    { form: /(?<name>\w+)(?:\s*\([^)]*\))?\s*=\s*fgetl\s*\(/u, kind: "text" },
  ],
  conversions: [{ form: /\b(?:str2double|str2num)\s*\(\s*(?<name>\w+)/u, kind: "decimal" }],
};
