import type { InputForms } from "../inputReads.ts";

const read = String.raw`(?:Console\.ReadLine|InputBox)\b`;

/** How programs in typed Basic read what is typed in: line by line, as text. */
export const typedBasicInput: InputForms = {
  reads: [
    {
      form: new RegExp(
        String.raw`(?<name>[\w.]+)(?:\s*\([^)]*\))?\s*=\s*(?:CInt|CLng|CShort|Integer\.Parse|Convert\.ToInt\d+)\s*\(\s*${read}`,
        "iu",
      ),
      kind: "whole",
    },
    {
      form: new RegExp(
        String.raw`(?<name>[\w.]+)(?:\s*\([^)]*\))?\s*=\s*(?:CDbl|CDec|CSng|Val|Double\.Parse|Decimal\.Parse|Convert\.To(?:Double|Decimal|Single))\s*\(\s*${read}`,
        "iu",
      ),
      kind: "decimal",
    },
    { form: /Integer\.TryParse\s*\(\s*Console\.ReadLine\s*(?:\(\s*\))?\s*,\s*(?<name>\w+)/iu, kind: "whole" },
    {
      form: /(?:Double|Decimal)\.TryParse\s*\(\s*Console\.ReadLine\s*(?:\(\s*\))?\s*,\s*(?<name>\w+)/iu,
      kind: "decimal",
    },
    {
      form: new RegExp(String.raw`(?<name>\w+)\.Add\s*\(\s*(?:CInt|Integer\.Parse)\s*\(\s*${read}`, "iu"),
      kind: "whole",
    },
    {
      form: new RegExp(String.raw`(?<name>\w+)\.Add\s*\(\s*(?:CDbl|CDec|Double\.Parse)\s*\(\s*${read}`, "iu"),
      kind: "decimal",
    },
    { form: new RegExp(String.raw`(?<name>\w+)\.Add\s*\(\s*${read}`, "iu"), kind: "text" },
    { form: new RegExp(String.raw`(?<name>[\w.]+)(?:\s*\([^)]*\))?\s*=\s*${read}`, "iu"), kind: "text" },
    { form: new RegExp(String.raw`(?:CInt|Integer\.Parse)\s*\(\s*${read}`, "iu"), kind: "whole" },
  ],
  conversions: [
    { form: /\b(?:CInt|CLng|Integer\.(?:Try)?Parse|Convert\.ToInt\d+)\s*\(\s*(?<name>\w+)/iu, kind: "whole" },
    { form: /\b(?:CDbl|CDec|CSng|Val|(?:Double|Decimal)\.(?:Try)?Parse)\s*\(\s*(?<name>\w+)/iu, kind: "decimal" },
    { form: /\bDim\s+(?<name>\w+)\s+As\s+(?:Integer|Long|Short)\b/iu, kind: "whole" },
    { form: /\bDim\s+(?<name>\w+)\s+As\s+(?:Double|Single|Decimal)\b/iu, kind: "decimal" },
  ],
};
