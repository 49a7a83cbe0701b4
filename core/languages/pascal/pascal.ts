import { escaped } from "../../source/escaped.ts";
import { type Language, type LoopCondition, messageReading } from "../language.ts";
import { tokensByLine } from "../lexical.ts";
import { signed, unsigned } from "../numberRanges.ts";
import { assignedNames, conditionOf, type StatementRules, usedNames } from "../statements.ts";
import type { Token } from "../token.ts";
import { pascalCard } from "./card.ts";
import { pascalInput } from "./input.ts";
import { pascalExplanations } from "./meanings.ts";
import { freePascal, isPascalSummary, kindOfPascalRefusal, otherPascal } from "./messages.ts";
import { pascalSyntax } from "./syntax.ts";
import { pascalKeywords, pascalTokens } from "./tokens.ts";
import { pascalValues } from "./values.ts";
import { pascalWords } from "./words.ts";
import { pascalWriting } from "./writing.ts";

const rules: StatementRules = {
  assignments: new Set([":=", "+=", "-=", "*=", "/="]),
  memberSigns: new Set(["."]),
  typeWords: new Set(),
};
const quietFunctions: ReadonlySet<string> = new Set(
  ["writeln", "write", "length", "abs", "sqr", "sqrt", "round", "trunc", "ord", "chr", "upcase", "inttostr"].flatMap(
    (word) => [word, word[0]?.toUpperCase() + word.slice(1)],
  ),
);

const is = (token: Token | undefined, ...words: string[]) =>
  token !== undefined && words.includes(token.text.toLowerCase());

/** Names that get a value on a line: by :=, as a loop's counter, read in, or declared. */
function pascalAssigned(line: readonly Token[]): string[] {
  const names = assignedNames(line, rules);
  const colon = line.findIndex((token) => token.text === ":");
  if (colon > 0)
    for (const token of line.slice(0, colon))
      if (token.kind === "name" && !is(line[0], "if", "while", "case")) names.push(token.text);
  const reads = line.findIndex((token, index) => is(token, "read", "readln") && line[index + 1]?.text === "(");
  if (reads >= 0) for (const token of line.slice(reads + 2)) if (token.kind === "name") names.push(token.text);
  for (const [index, token] of line.entries())
    if (is(token, "inc", "dec", "setlength") && line[index + 1]?.text === "(" && line[index + 2]?.kind === "name")
      names.push(line[index + 2]?.text ?? "");
  return [...new Set(names)];
}

function pascalLoopCondition(line: readonly Token[]): LoopCondition | null {
  const at = line.findIndex((token) => is(token, "while", "until"));
  if (at < 0) return null;
  const until = is(line[at], "until");
  const end = line.findIndex((token, index) => index > at && (is(token, "do") || token.text === ";"));
  const condition = line.slice(at + 1, end < 0 ? undefined : end);
  // "until done" goes on while it does not hold; comparisons are turned round so that they say when the loop goes on.
  return conditionOf(condition, quietFunctions, until);
}

/** Lines of the loop at `header`: from while to the end of its statement, or from until back to its repeat. */
function pascalBlockLines(program: string, header: number): number[] {
  const code = pascalTokens(program).filter((token) => token.kind !== "comment");
  const lines = [...tokensByLine(code).keys()];
  const start = code.findIndex(
    (token) => token.line === header && is(token, "while", "for", "repeat", "until", "if", "else", "case"),
  );
  if (start < 0) return [];
  if (is(code[start], "until")) {
    let depth = 0;
    for (let at = start; at >= 0; at--) {
      if (is(code[at], "until")) depth += 1;
      if (is(code[at], "repeat")) depth -= 1;
      if (depth === 0) return lines.filter((line) => line >= (code[at]?.line ?? header) && line < header);
    }
    return [];
  }
  let depth = 0;
  let opened = is(code[start], "repeat");
  for (let at = start; at < code.length; at++) {
    if (is(code[at], "begin", "case", "repeat", "try")) {
      depth += 1;
      opened = true;
    }
    if (is(code[at], "end", "until")) depth -= 1;
    if ((opened && depth === 0) || (!opened && at > start && code[at]?.text === ";"))
      return lines.filter((line) => line > header && line <= (code[at]?.line ?? header));
  }
  return lines.filter((line) => line > header);
}

/** The first position of `name: array[1..3] of`; 0 where it has no bounds of its own. */
function firstPosition(program: string, name: string): number {
  const bounds = String.raw`\b${escaped(name)}\b[^;:()]*:\s*(?:packed\s+)?array\s*\[\s*(-?\d+)\s*\.\.`;
  return Number(new RegExp(bounds, "i").exec(program)?.[1] ?? 0);
}

/** Object Pascal as translated by Free Pascal. */
export const pascal: Language = {
  id: "pascal",
  name: "Object Pascal",
  extension: ".pas",
  otherExtensions: [".pp", ".lpr", ".dpr"],
  mainName: "program.pas",
  editorMode: "pascal",
  lineComment: "//",
  namesCheckedAt: "translation",
  profile: {
    stages: [
      "the whole text is translated; names and types are checked",
      "it is linked",
      "then it runs, from the last begin on",
    ],
    blocks: "begin and end",
    statementEnd: "a semicolon between statements",
    caseSensitive: false,
    firstIndex: "declared",
    unsetValue: "a global holds 0; a local holds whatever was in memory",
    integerDivision: "div cuts off the fraction; / gives a decimal number",
    input: "readln reads by the variable's type; letters for a number stop the program",
    strictness:
      "warnings, notes and hints are asked for; range checks (-Cr) and overflow checks (-Co) are on only if the text asks for them",
    usualDistance: "a missing semicolon is reported on the next line; a missing end at the end of the file",
  },
  card: pascalCard,
  inputForms: pascalInput,
  tokens: pascalTokens,
  syntax: pascalSyntax,
  writing: pascalWriting,
  firstPosition,
  values: pascalValues,
  keywords: pascalKeywords,
  ...messageReading([freePascal, otherPascal], "first", isPascalSummary),
  kindOfRefusal: kindOfPascalRefusal,
  machineWords: /\$[0-9A-F]{8,16}/g,
  unknownName: (diagnostic) => /Identifier not found "([^"]+)"/.exec(diagnostic.message)?.[1] ?? null,
  explanations: pascalExplanations,
  assignedNames: pascalAssigned,
  usedNames: (line) => usedNames(line, rules),
  loopCondition: pascalLoopCondition,
  blockLines: pascalBlockLines,
  decisionWords: new Set(["if", "while", "for", "case", "until", "repeat", "else"]),
  loopWords: new Set(["while", "for", "repeat"]),
  definesFunction: (line) => is(line[0], "function", "procedure"),
  chanceWords: new Set("random Random Now Time Date GetTickCount GetTickCount64".split(" ")),
  unseenWords: new Set(["read", "readln", "random", "Random"]),
  recordingMarksUnset: true,
  quietFunctions,
  needsFile: (program, stem) => new RegExp(`\\buses\\b[^;]{0,500}\\b${stem}\\b`, "i").test(program),
  blockWords: {
    opens: new Set(["begin", "case", "repeat", "try", "record", "class"]),
    closes: new Set(["end", "until"]),
  },
  numberRanges: {
    ...{ ShortInt: signed(8), SmallInt: signed(16), LongInt: signed(32), Int64: signed(64) },
    ...{ Byte: unsigned(8), Word: unsigned(16), LongWord: unsigned(32), QWord: unsigned(64) },
  },
  loopExits: ["break", "Break", "exit", "Exit", "halt", "Halt", "goto", "raise"],
  ownWords: new Set([...pascalKeywords, ...pascalWords]),
  signs: [
    { pattern: /^\s*program\s+\w+\s*(?:\([^)]*\))?;/im, weight: 4, words: "program …;" },
    { pattern: /\bbegin\b[\s\S]*\bend\s*[.;]/i, weight: 3, words: "begin and end" },
    { pattern: /:=/, weight: 2, words: ":=" },
    { pattern: /\bwriteln\s*\(/i, weight: 2, words: "writeln" },
  ],
};
