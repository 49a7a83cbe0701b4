import { lineTexts } from "../../source/lines.ts";
import { type Language, type LoopCondition, messageReading } from "../language.ts";
import { conditionOf } from "../statements.ts";
import type { Token } from "../token.ts";
import { pythonCard } from "./card.ts";
import { pythonInput } from "./input.ts";
import { pythonExplanations } from "./meanings.ts";
import { cpython, isPythonSummary } from "./messages.ts";
import { pythonSyntax } from "./syntax.ts";
import { keywords, pythonTokens } from "./tokens.ts";
import { pythonValues } from "./values.ts";
import { pythonWords } from "./words.ts";
import { pythonWriting } from "./writing.ts";

const assignments = new Set([
  "=",
  "+=",
  "-=",
  "*=",
  "/=",
  "//=",
  "%=",
  "**=",
  "&=",
  "|=",
  "^=",
  ">>=",
  "<<=",
  "@=",
  ":=",
]);
const definers = new Set(["def", "class", "import", "as", "for", "global", "nonlocal"]);

function assignedNames(line: readonly Token[]): string[] {
  const names: string[] = [];
  let depth = 0;
  for (const [index, token] of line.entries()) {
    if (token.kind === "bracket") depth += "([{".includes(token.text) ? 1 : -1;
    if (token.kind !== "name") continue;
    const before = line[index - 1];
    if (before?.kind === "keyword" && definers.has(before.text)) names.push(token.text);
    else if (line[0]?.text === "def" && depth === 1) names.push(token.text);
  }
  const lastAssignment = line.findLastIndex((token) => token.kind === "operator" && assignments.has(token.text));
  let nesting = 0;
  let at = 0;
  for (const token of line.slice(0, Math.max(0, lastAssignment))) {
    at += 1;
    if (token.kind === "bracket") nesting += "([{".includes(token.text) ? 1 : -1;
    const next = line[at];
    const attribute = line[at - 2]?.text === ".";
    if (token.kind === "name" && !attribute && (nesting === 0 || line[0]?.text === "(") && next?.text !== "(")
      names.push(token.text);
    // The target of rows[i] = ... is rows.
    if (token.kind === "name" && nesting === 0 && next?.text === "[" && !names.includes(token.text))
      names.push(token.text);
  }
  return [...new Set(names)];
}

/** Lines of the block that a header opens: those indented deeper, up to the next line that is not. */
function indentedLines(program: string, header: number): number[] {
  const text = lineTexts(program);
  const indentation = (line: string) => line.length - line.trimStart().length;
  const own = indentation(text[header - 1] ?? "");
  const body: number[] = [];
  for (let line = header + 1; line <= text.length; line++) {
    const content = text[line - 1] ?? "";
    if (content.trim() === "") continue;
    if (indentation(content) <= own) break;
    body.push(line);
  }
  return body;
}

const looking: ReadonlySet<string> = new Set(["len"]);

function loopCondition(line: readonly Token[]): LoopCondition | null {
  if (line[0]?.text !== "while") return null;
  const end = line.findLastIndex((token) => token.text === ":");
  return conditionOf(line.slice(1, end < 0 ? undefined : end), looking);
}

/** Python 3 as run by CPython. */
export const python: Language = {
  id: "python",
  interpreterInBrowsers: true,
  name: "Python",
  extension: ".py",
  mainName: "program.py",
  editorMode: "python",
  indentationErrors: new Set(["IndentationError", "TabError"]),
  lineComment: "#",
  namesCheckedAt: "run",
  profile: {
    stages: ["the whole text is read", "then it runs from top to bottom, a line at a time"],
    blocks: "indentation",
    statementEnd: "the end of the line",
    caseSensitive: true,
    firstIndex: 0,
    unsetValue: "none: using it stops the program (NameError)",
    integerDivision: "/ gives a decimal number, // rounds down",
    input: "input() gives text; int() or float() makes a number of it",
    strictness: "warnings of the reader are shown",
    usualDistance: "on the reported line or the one above; an unclosed bracket is reported where it was opened",
  },
  card: pythonCard,
  inputForms: pythonInput,
  tokens: pythonTokens,
  syntax: pythonSyntax,
  writing: pythonWriting,
  values: pythonValues,
  keywords,
  ...messageReading([cpython], "last", isPythonSummary),
  kindOfRefusal: () => "form",
  machineWords: /0x[0-9a-f]{6,}/g,
  unknownName: (diagnostic) =>
    /name '([^']+)'|variable '([^']+)'/.exec(diagnostic.message)?.slice(1).find(Boolean) ?? null,
  explanations: pythonExplanations,
  assignedNames,
  usedNames: (line) => [
    ...new Set(
      line.filter((token, index) => token.kind === "name" && line[index - 1]?.text !== ".").map((token) => token.text),
    ),
  ],
  loopCondition,
  blockLines: indentedLines,
  decisionWords: new Set(["if", "elif", "while"]),
  loopWords: new Set(["while", "for"]),
  definesFunction: (line) => line[0]?.text === "def" || line[0]?.text === "class",
  chanceWords: new Set(
    "random randint randrange choice choices shuffle sample uniform time perf_counter monotonic now today urandom uuid4 id hash".split(
      " ",
    ),
  ),
  unseenWords: new Set(["for", "yield", "with", "import", "lambda"]),
  quietFunctions: new Set("print len abs min max sum round int float str bool range append".split(" ")),
  needsFile: (program, stem) =>
    new RegExp(`^[ \\t]*(?:from[ \\t]+${stem}[ \\t]|import[ \\t].*\\b${stem}\\b)`, "m").test(program),
  numberRanges: {},
  loopExits: ["break", "return", "raise", "exit", "quit", "_exit"],
  ownWords: new Set([...keywords, ...pythonWords]),
  signs: [
    {
      pattern: /^\s*(?:def\s+\w+\s*\(.*\)|(?:if|elif|while|for|else|try|except|class)\b[^;{}]*):\s*(?:#.*)?$/m,
      weight: 3,
      words: "lines that end in a colon and open a block",
    },
    { pattern: /^\s*(?:from\s+\w+\s+)?import\s+\w+\s*$/m, weight: 2, words: "import without a semicolon" },
    { pattern: /\bprint\s*\([^;]*\)\s*$/m, weight: 2, words: "print(...)" },
    { pattern: /\b(?:elif|None|True|False|input\()/, weight: 1, words: "words of Python" },
  ],
};
