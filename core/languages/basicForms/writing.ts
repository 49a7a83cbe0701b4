import { typedBasicLinesElsewhere } from "../basic/elsewhere.ts";
import { isWord } from "../basic/lines.ts";
import { takesByName } from "../takes.ts";
import type { Token } from "../token.ts";
import { libraryOf, type Writing } from "../writing.ts";

const before = "public private static friend protected shared overridable overrides".split(" ");

/** The words that close what a line heads. */
function closeOf(line: readonly Token[]): string {
  const head = line.find((token) => !isWord(token, ...before));
  if (isWord(head, "for")) return "Next";
  if (isWord(head, "do")) return "Loop";
  const closed = [
    "While",
    "Select",
    "With",
    "Sub",
    "Function",
    "Try",
    "Using",
    "Module",
    "Class",
    "Structure",
    "Property",
    "Enum",
  ];
  return `End ${closed.find((each) => isWord(head, each.toLowerCase())) ?? "If"}`;
}

/** What small edits put into programs in typed Basic. */
export const typedBasicWriting: Writing = {
  ...{ and: "And", or: "Or", not: "Not ", equal: "=", unequal: "<>", assign: "=" },
  blocks: { by: "end word", close: "End If", closeOf },
  variables: "declared in place",
  ...{ quote: '"', quoteInside: '""', members: ["."], compound: true, chained: "ElseIf" },
  headers: { if: "Then", elseif: "Then" },
  stepWord: "Step",
  firstElement: (list) => `${list}(0)`,
  beginnings: [],
  statementEnd: "",
  divides: { decimal: "/", whole: "\\", rest: "Mod" },
  otherOperators: [["+", "&"]],
  step: (name, sign) => `${name} ${sign}= 1`,
  conversions: [
    { name: "CInt", before: "CInt(", after: ")" },
    { name: "CDbl", before: "CDbl(", after: ")" },
    { name: "CDec", before: "CDec(", after: ")" },
    { name: "CStr", before: "CStr(", after: ")" },
    { name: "Val", before: "Val(", after: ")" },
    { name: "Len", before: "Len(", after: ")" },
    { name: "Int", before: "Int(", after: ")" },
    { name: "ToString", before: "", after: ".ToString()" },
  ],
  guarded: (condition, body, indent, lineEnd) =>
    `${indent}If ${condition} Then${lineEnd}${body}${indent}End If${lineEnd}`,
  lengthOf: (list) => `${list}.Length`,
  nothing: "Nothing",
  returns: (value) => `Return ${value}`,
  types: [
    ["Integer", "Double", "Long", "String", "Boolean"],
    ["Double", "Single", "Decimal"],
    ["String", "Char"],
  ],
  linesElsewhere: typedBasicLinesElsewhere,
  forms: { picksRound: true },
  inclusions: [],
  takes: takesByName({}),
  narrowing: {
    ...{ comment: "'", nothing: "", ends: "", between: () => " : ", wrap: null },
    print: (label, expression) => `Console.WriteLine("${label}" & ${expression})`,
  },
  onlyPrints: (lines) =>
    `Module Prints\n  Sub Main()\n${lines.map((line) => `    Console.WriteLine("${line.replaceAll('"', '""')}")\n`).join("")}  End Sub\nEnd Module\n`,
  printers: [["WriteLine", "Write"]],
  fills: ["Add", "Insert", "Push", "Enqueue"],
  library: libraryOf(
    {
      ...{
        reads: "ReadLine Read ReadKey InputBox",
        readsText: "ReadLine InputBox",
        prints: "WriteLine Write MsgBox Show",
        leaves: "End Stop Exit",
      },
      gives:
        "UCase LCase Trim Left Right Mid Str CStr CInt CDbl CDec CLng Val Int Fix Len Replace ToUpper ToLower Substring PadLeft PadRight Split Round Abs",
      changes: "Sort Add Reverse Remove Clear Insert",
    },
    false,
  ),
};
