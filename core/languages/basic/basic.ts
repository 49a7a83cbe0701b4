import { type Language, type LoopCondition, messageReading } from "../language.ts";
import { createTokenizer, tokensByLine } from "../lexical.ts";
import { conditionOf } from "../statements.ts";
import type { Token } from "../token.ts";
import { basicExplanations } from "./meanings.ts";
import { isBasicSummary, kindOfBasicRefusal, macroBasic, typedBasic } from "./messages.ts";
import { basicWords } from "./words.ts";

/** Words that typed and macro Basic reserve (language references, "Keywords"). */
const keywords: ReadonlySet<string> = new Set(
  (
    "addhandler and andalso as byref byval call case catch class const continue dim do each else elseif end endif enum error exit false finally for friend function get gosub goto if imports in inherits " +
    "is let lib loop me mod module namespace new next not nothing of on option optional or orelse paramarray preserve private property public raise redim rem resume return select set shared static step " +
    "stop structure sub then throw to true try until using wend when while with xor explicit strict off"
  ).split(" "),
);
const quietFunctions: ReadonlySet<string> = new Set(
  "MsgBox WriteLine Write Len Val Str CInt CDbl CStr UCase LCase Trim Abs Sqr Int".split(" "),
);

const tokens = createTokenizer({
  keywords,
  anyCase: true,
  name: /[\p{L}_][\p{L}\p{Nd}_]*[%&!#@$]?/uy,
  number: /(?:&[hH][\da-fA-F]+|\d+(?:\.\d+)?(?:[eE][+-]?\d+)?)/y,
  operator: /<>|<=|>=|:=|\+=|-=|\*=|\/=|&=|[-+*/\\^&=<>.,:;#?!@]/y,
  lineComment: /'|[Rr][Ee][Mm]\b/y,
  blockComments: [],
  texts: [{ open: /"/y, close: '"', escape: "double" }],
  continuation: / _[ \t]*(?:\r\n|\r|\n)/y,
});

const is = (token: Token | undefined, ...words: string[]) =>
  token !== undefined && words.includes(token.text.toLowerCase());

/** Names that get a value on a line: at its beginning left of =, as a loop's counter, or declared. */
function assignedNames(line: readonly Token[]): string[] {
  const names: string[] = [];
  const start = is(line[0], "let", "set") ? 1 : 0;
  const sign = line.findIndex((token) => ["=", "+=", "-=", "*=", "/=", "&="].includes(token.text));
  if (sign > start && line[start]?.kind === "name" && !line.slice(start, sign).some((token) => token.text === "."))
    names.push(line[start]?.text ?? "");
  for (const [index, token] of line.entries())
    if (is(token, "dim", "for", "each", "static", "redim", "byval", "byref") && line[index + 1]?.kind === "name")
      names.push(line[index + 1]?.text ?? "");
  return [...new Set(names)];
}

function loopCondition(line: readonly Token[]): LoopCondition | null {
  const at = line.findIndex((token) => is(token, "while", "until"));
  if (at < 0 || at > 1) return null;
  return conditionOf(line.slice(at + 1), quietFunctions, is(line[at], "until"));
}

/**
 * Lines of the loop at `header`, from For, While or Do to its Next, Wend, End While or Loop; from a Loop with a
 * condition back to its Do.
 */
function blockLines(program: string, header: number): number[] {
  const lines = tokensByLine(tokens(program));
  const numbers = [...lines.keys()].sort((one, other) => one - other);
  const opens = (line: number) => is(lines.get(line)?.[0], "for", "while", "do");
  const closes = (line: number) =>
    is(lines.get(line)?.[0], "next", "wend", "loop") ||
    (is(lines.get(line)?.[0], "end") && is(lines.get(line)?.[1], "while"));
  const backwards = is(lines.get(header)?.[0], "loop");
  const body: number[] = [];
  let depth = 0;
  for (const line of backwards
    ? numbers.filter((each) => each <= header).reverse()
    : numbers.filter((each) => each >= header)) {
    if (backwards ? closes(line) : opens(line)) depth += 1;
    if (backwards ? opens(line) : closes(line)) depth -= 1;
    if (line !== header) backwards ? body.unshift(line) : body.push(line);
    if (depth <= 0) break;
  }
  return body;
}

/** Typed Basic and macro Basic, as far as they can be read; no such tool runs here. */
export const basic: Language = {
  id: "basic",
  name: "Basic",
  extension: ".vb",
  otherExtensions: [".bas", ".cls", ".frm"],
  mainName: "Module1.vb",
  lineComment: "'",
  namesCheckedAt: "translation",
  profile: {
    stages: [
      "each line is checked when it is left",
      "typed Basic is translated whole; a macro is checked when it is started",
      "then a routine runs, often one that answers to a button",
    ],
    blocks: "words such as If … End If, For … Next, Sub … End Sub",
    statementEnd: "the end of the line; a blank and _ carry it on",
    caseSensitive: false,
    firstIndex: "declared",
    unsetValue: "0, an empty text or Nothing; without the strict option a misspelt name is a new empty variable",
    integerDivision: "\\ cuts off the fraction; / gives a decimal number",
    input: "boxes and InputBox give text; it must be converted",
    strictness: "Option Explicit: every variable must be declared; Option Strict: no silent conversion",
    usualDistance: "on the reported line; after a fault in a declaration every use is reported below it",
  },
  tokens,
  ...messageReading([typedBasic, macroBasic], "first refusal", isBasicSummary),
  kindOfRefusal: kindOfBasicRefusal,
  unknownName: (diagnostic) =>
    /BC30451/.test(diagnostic.code ?? "") ? (/'(\w+)'/.exec(diagnostic.message)?.[1] ?? null) : null,
  explanations: basicExplanations,
  assignedNames,
  usedNames: (line) => [
    ...new Set(
      line.filter((token, index) => token.kind === "name" && line[index - 1]?.text !== ".").map((token) => token.text),
    ),
  ],
  loopCondition,
  blockLines,
  decisionWords: new Set([
    "if",
    "If",
    "elseif",
    "ElseIf",
    "while",
    "While",
    "do",
    "Do",
    "loop",
    "Loop",
    "for",
    "For",
    "select",
    "Select",
    "case",
    "Case",
  ]),
  loopWords: new Set(["while", "While", "do", "Do", "for", "For"]),
  definesFunction: (line) => line.some((token) => is(token, "sub", "function")) && !is(line[0], "end", "exit"),
  chanceWords: new Set("Rnd Now Date Time Timer".split(" ")),
  unseenWords: new Set(["InputBox", "ReadLine", "Rnd", "Now"]),
  quietFunctions,
  // "End If" closes and does not open again; single-line ifs are left to the reader's eye.
  blockWords: {
    opens: new Set(["for", "while", "do", "select", "with", "sub", "function", "module"]),
    closes: new Set(["next", "wend", "loop"]),
  },
  numberRanges: {},
  loopExits: ["Exit", "exit", "Return", "return", "End", "end", "Stop", "GoTo"],
  ownWords: new Set([...keywords, ...basicWords, ...basicWords.map((word) => word.toLowerCase())]),
  signs: [
    {
      pattern: /^\s*(?:Public |Private )?(?:Sub|Function)\s+\w+\s*\([^)]*\)(?:\s+As\s+\w+)?\s*$/im,
      weight: 4,
      words: "Sub and Function lines",
    },
    { pattern: /^\s*End (?:Sub|If|Function|Module|Class)\s*$/im, weight: 3, words: "End Sub, End If" },
    { pattern: /^\s*Dim\s+\w+/im, weight: 3, words: "Dim" },
    { pattern: /\bThen\s*$/im, weight: 1, words: "If … Then" },
  ],
};
