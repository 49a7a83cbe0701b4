import { macroLinesElsewhere } from "../basic/elsewhere.ts";
import { isWord } from "../basic/lines.ts";
import { takesByName } from "../takes.ts";
import type { Token } from "../token.ts";
import { libraryOf, type Writing } from "../writing.ts";

/** The words that close what a line heads. */
function closeOf(line: readonly Token[]): string {
  const head = line.find((token) => !isWord(token, "public", "private", "static"));
  if (isWord(head, "for")) return "Next";
  if (isWord(head, "while")) return "Wend";
  if (isWord(head, "do")) return "Loop";
  if (isWord(head, "select")) return "End Select";
  if (isWord(head, "with")) return "End With";
  if (isWord(head, "sub")) return "End Sub";
  return isWord(head, "function") ? "End Function" : "End If";
}

/** What small edits put into macros. */
export const macroWriting: Writing = {
  ...{ and: "And", or: "Or", not: "Not ", equal: "=", unequal: "<>", assign: "=" },
  blocks: { by: "end word", close: "End If", closeOf },
  variables: "by assignment",
  ...{ quote: '"', quoteInside: '""', members: ["."], compound: false, chained: "ElseIf" },
  headers: { if: "Then", elseif: "Then" },
  stepWord: "Step",
  firstElement: (list) => `${list}(0)`,
  beginnings: ['""', "False"],
  statementEnd: "",
  divides: { decimal: "/", whole: "\\", rest: "Mod" },
  otherOperators: [["+", "&"]],
  step: (name, sign) => `${name} = ${name} ${sign} 1`,
  conversions: [
    { name: "CInt", before: "CInt(", after: ")" },
    { name: "Val", before: "Val(", after: ")" },
    { name: "CDbl", before: "CDbl(", after: ")" },
    { name: "CStr", before: "CStr(", after: ")" },
    { name: "Len", before: "Len(", after: ")" },
    { name: "Int", before: "Int(", after: ")" },
    { name: "Abs", before: "Abs(", after: ")" },
  ],
  guarded: (condition, body, indent, lineEnd) =>
    `${indent}If ${condition} Then${lineEnd}${body}${indent}End If${lineEnd}`,
  returns: () => "",
  resultByName: {
    gives: (name, value) => `${name} = ${value}`,
    header: /^\s*(?:public\s+|private\s+)?function\b/i,
  },
  types: [
    ["Integer", "Long", "Double", "String", "Boolean"],
    ["Single", "Double"],
  ],
  linesElsewhere: macroLinesElsewhere,
  forms: { picksRound: true },
  inclusions: [],
  takes: takesByName({}),
  narrowing: {
    ...{ comment: "'", nothing: "", ends: "", between: () => " : ", wrap: null },
    print: (label, expression) => `Print "${label}"; ${expression}`,
  },
  onlyPrints: (lines) =>
    `Sub Main\n${lines.map((line) => `  Print "${line.replaceAll('"', '""')}"\n`).join("")}End Sub\n`,
  printers: [["MsgBox", "Print"]],
  library: libraryOf(
    {
      ...{ reads: "InputBox", readsText: "InputBox", prints: "MsgBox Print", leaves: "End Stop", changes: "" },
      gives: "UCase LCase Trim Left Right Mid Str CStr CInt CDbl CLng Val Int Fix Abs Sqr Len Replace",
    },
    false,
  ),
};
