import type { InputForms } from "../inputReads.ts";

/** How C# programs read what is typed in: line by line. */
export const csharpInput: InputForms = {
  reads: [
    {
      form: /(?<name>[\w.]+)(?:\s*\[[^\]]*\])?\s*=\s*(?:int\.Parse|long\.Parse|Convert\.ToInt\d+)\s*\(\s*Console\.ReadLine/u,
      kind: "whole",
    },
    {
      form: /(?<name>[\w.]+)(?:\s*\[[^\]]*\])?\s*=\s*(?:double\.Parse|decimal\.Parse|float\.Parse|Convert\.To(?:Double|Decimal|Single))\s*\(\s*Console\.ReadLine/u,
      kind: "decimal",
    },
    { form: /int\.TryParse\s*\(\s*Console\.ReadLine\s*\(\s*\)\s*,\s*out\s+(?:int\s+)?(?<name>\w+)/u, kind: "whole" },
    {
      form: /(?:double|decimal)\.TryParse\s*\(\s*Console\.ReadLine\s*\(\s*\)\s*,\s*out\s+(?:\w+\s+)?(?<name>\w+)/u,
      kind: "decimal",
    },
    { form: /(?<name>\w+)\.Add\s*\(\s*(?:int\.Parse|Convert\.ToInt\d+)\s*\(\s*Console\.ReadLine/u, kind: "whole" },
    { form: /(?<name>\w+)\.Add\s*\(\s*(?:double\.Parse|Convert\.ToDouble)\s*\(\s*Console\.ReadLine/u, kind: "decimal" },
    { form: /(?<name>\w+)\.Add\s*\(\s*Console\.ReadLine/u, kind: "text" },
    { form: /(?<name>[\w.]+)(?:\s*\[[^\]]*\])?\s*=\s*Console\.ReadLine/u, kind: "text" },
    { form: /(?:int\.Parse|Convert\.ToInt\d+)\s*\(\s*Console\.ReadLine/u, kind: "whole" },
  ],
  conversions: [
    { form: /\b(?:int\.(?:Try)?Parse|long\.Parse|Convert\.ToInt\d+)\s*\(\s*(?<name>\w+)/u, kind: "whole" },
    { form: /\b(?:double\.(?:Try)?Parse|decimal\.Parse|Convert\.ToDouble)\s*\(\s*(?<name>\w+)/u, kind: "decimal" },
  ],
};
