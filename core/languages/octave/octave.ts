import { unsuppressedOutput } from "../../warnings/unsuppressed.ts";
import { type Language, type LoopCondition, messageReading } from "../language.ts";
import { tokensByLine } from "../lexical.ts";
import { conditionOf } from "../statements.ts";
import type { Token } from "../token.ts";
import { octaveCard } from "./card.ts";
import { octaveInput } from "./input.ts";
import { octaveExplanations } from "./meanings.ts";
import { gnuOctave, isOctaveSummary, kindOfOctaveRefusal, otherMatrix } from "./messages.ts";
import { octaveSyntax } from "./syntax.ts";
import { octaveKeywords, octaveTokens } from "./tokens.ts";
import { octaveValues } from "./values.ts";
import { octaveWords } from "./words.ts";
import { octaveWriting } from "./writing.ts";

const assignments = new Set(["=", "+=", "-=", "*=", "/=", "^=", "|=", "&="]);
const quietFunctions: ReadonlySet<string> = new Set(
  "disp printf fprintf numel length size abs max min sum round floor ceil sqrt mod rem zeros ones isempty num2str mat2str".split(
    " ",
  ),
);
const ends = new Set([
  "end",
  "endif",
  "endwhile",
  "endfor",
  "endfunction",
  "endswitch",
  "end_try_catch",
  "end_unwind_protect",
  "until",
]);
const opens = new Set(["if", "while", "for", "function", "switch", "try", "unwind_protect", "do", "parfor"]);

/**
 * Names that get a value on a line: what stands before an assignment, [a, b] = too, loop counters, a function's results
 * and parameters.
 */
function assignedNames(line: readonly Token[]): string[] {
  const names: string[] = [];
  if (line[0]?.text === "function")
    return line
      .filter(
        (token, index) => (token.kind === "name" && line[index + 1]?.text !== "=") || line[index + 1]?.text === "=",
      )
      .filter((token) => token.kind === "name")
      .map((token) => token.text);
  if (line[0]?.text === "for" || line[0]?.text === "parfor") {
    const counter = line.find((token) => token.kind === "name");
    if (counter) names.push(counter.text);
  }
  if (line[0]?.text === "global" || line[0]?.text === "persistent")
    return line.filter((token) => token.kind === "name").map((token) => token.text);
  let depth = 0;
  for (const [index, token] of line.entries()) {
    if (token.kind === "bracket") depth += "([{".includes(token.text) ? 1 : -1;
    if (
      depth === 0 &&
      token.kind === "operator" &&
      (assignments.has(token.text) || token.text === "++" || token.text === "--")
    )
      names.push(...targets(line, index));
  }
  return [...new Set(names)];
}

/**
 * The names that a sign at `index` gives a value: the one before it, past positions and fields, or all in [a, b] = ...
 */
function targets(line: readonly Token[], index: number): string[] {
  let at = index - 1;
  while (at >= 0) {
    const token = line[at];
    if (token?.kind === "name") {
      if (line[at - 1]?.text !== ".") return [token.text];
      at -= 2;
    } else if (token && [")", "}", "]"].includes(token.text)) {
      const open = openingBefore(line, at);
      if (token.text === "]")
        return line
          .slice(open + 1, at)
          .filter((each, place, inner) => each.kind === "name" && (place === 0 || inner[place - 1]?.text !== "."))
          .map((each) => each.text);
      at = open - 1;
    } else return [];
  }
  return [];
}

function openingBefore(line: readonly Token[], close: number): number {
  let depth = 0;
  for (let at = close; at >= 0; at--) {
    if (line[at]?.kind === "bracket") depth += "([{".includes(line[at]?.text ?? "") ? -1 : 1;
    if (depth === 0) return at;
  }
  return 0;
}

function loopCondition(line: readonly Token[]): LoopCondition | null {
  const first = line[0]?.text;
  if (first !== "while" && first !== "until") return null;
  const end = line.findIndex((token, index) => index > 0 && (token.text === ";" || token.text === ","));
  return conditionOf(line.slice(1, end < 0 ? undefined : end), quietFunctions, first === "until");
}

function blockLines(program: string, header: number): number[] {
  const lines = tokensByLine(octaveTokens(program));
  const numbers = [...lines.keys()].sort((one, other) => one - other);
  let depth = 0;
  const body: number[] = [];
  if (lines.get(header)?.[0]?.text === "until") {
    for (const line of numbers.filter((each) => each < header).reverse()) {
      body.unshift(line);
      for (const token of lines.get(line) ?? [])
        if (token.kind === "keyword") depth += ends.has(token.text) ? 1 : opens.has(token.text) ? -1 : 0;
      if (depth < 0) break;
    }
    return body;
  }
  for (const line of numbers.filter((each) => each >= header)) {
    for (const token of lines.get(line) ?? [])
      if (token.kind === "keyword") depth += opens.has(token.text) ? 1 : ends.has(token.text) ? -1 : 0;
    if (line > header) body.push(line);
    if (depth <= 0) break;
  }
  return body;
}

/** GNU Octave, for the matrix language. */
export const octave: Language = {
  id: "octave",
  name: "Octave",
  extension: ".m",
  mainName: "program.m",
  editorMode: "octave",
  lineComment: "%",
  namesCheckedAt: "run",
  profile: {
    stages: ["the whole text is read", "then it runs from top to bottom, a statement at a time"],
    blocks: "words such as if … end, for … end",
    statementEnd: "the end of the line; a semicolon keeps the value from being shown",
    caseSensitive: true,
    firstIndex: 1,
    unsetValue: "none: using it stops the program ('…' undefined)",
    integerDivision: "numbers are decimal numbers unless made otherwise; / divides exactly",
    input: "input() reads a value; input(…, 's') reads text",
    strictness: "warnings are shown; every run starts with an empty workspace",
    usualDistance: "on the reported line or above; a missing end is reported at the end of the file",
  },
  card: octaveCard,
  inputForms: octaveInput,
  tokens: octaveTokens,
  syntax: octaveSyntax,
  writing: octaveWriting,
  values: octaveValues,
  keywords: octaveKeywords,
  ...messageReading([gnuOctave, otherMatrix], "last", isOctaveSummary),
  kindOfRefusal: kindOfOctaveRefusal,
  machineWords: /(?: near line \d+)?,? column -?\d+/g,
  unknownName: (diagnostic) => /'([^']+)' undefined/.exec(diagnostic.message)?.[1] ?? null,
  explanations: octaveExplanations,
  assignedNames,
  usedNames: (line) => [
    ...new Set(
      line.filter((token, index) => token.kind === "name" && line[index - 1]?.text !== ".").map((token) => token.text),
    ),
  ],
  loopCondition,
  blockLines,
  decisionWords: new Set(["if", "elseif", "while", "for", "switch", "until"]),
  loopWords: new Set(["while", "for", "do", "parfor"]),
  definesFunction: (line) => line[0]?.text === "function",
  chanceWords: new Set("rand randn randi randperm clock tic toc now time date cputime".split(" ")),
  unseenWords: new Set(["input", "rand", "randi", "fgetl", "toc", "clock"]),
  ownWarnings: [unsuppressedOutput],
  quietFunctions,
  keepsWorkspace: true,
  needsFile: (program, stem) => new RegExp(`(?:^|[^\\w.])${stem}[ \\t]*(?:\\(|;|$)`, "m").test(program),
  blockWords: { opens, closes: ends },
  // Its whole numbers stop at their last and do not come in again.
  numberRanges: {},
  loopExits: ["break", "return", "error", "exit", "quit"],
  ownWords: new Set([...octaveKeywords, ...octaveWords]),
  signs: [
    { pattern: /^\s*(?:endif|endwhile|endfor|endfunction)\b/m, weight: 4, words: "endif, endwhile, endfor" },
    {
      pattern: /^\s*(?:for\s+\w+\s*=\s*[^:\n]+:[^\n]+|if\s[^:{]*|while\s[^:{]*)$[\s\S]*^\s*end\s*;?\s*$/m,
      weight: 3,
      words: "blocks that close with end",
    },
    {
      pattern: /^\s*function\s+(?:\[?[\w,\s]*\]?\s*=\s*)?\w+\s*(?:\([^)]*\))?\s*$/m,
      weight: 3,
      words: "function lines",
    },
    { pattern: /\b(?:disp|fprintf|numel|zeros|ones)\s*\(/, weight: 2, words: "disp, zeros or the like" },
    { pattern: /^\s*\w+\s*=\s*\[[\d\s.,;]*\];?\s*$/m, weight: 1, words: "a matrix in brackets" },
  ],
};
