import { diffArrays } from "diff";
import { intendedOf } from "../assignments/intended.ts";
import type { Language } from "../languages/language.ts";
import { type ConsolePiece, consoleText } from "../outcome/outcome.ts";
import { escaped } from "../source/escaped.ts";
import { lineAt, lineStarts } from "../syntax/placed.ts";
import { isLoop, nodesOf, type SyntaxNode, walk } from "../syntax/tree.ts";
import { normalValue } from "./cellValues.ts";
import { putIn } from "./ownRun/outputCell.ts";

/** A line of an output: what was worked out for it, and all of it. `always`: fixed words that every run writes. */
export type OutputLine = { text: string; values: string[]; always: boolean };

/**
 * What a run wrote, taken apart for marking: its lines without prompts, the prompts, what was typed in, and its error output.
 * `numbered`: fixed words of the program with numbers in them, which are no values wherever they are written.
 */
export type OutputParts = {
  lines: OutputLine[];
  prompts: string[];
  typed: string[];
  errors: string[];
  numbered: string[];
};

/** Fixed texts of a program between the places where values are put in, by the lines on which they stand. */
function fixedTexts(language: Language, program: string): Map<number, string[]> {
  const found = new Map<number, string[]>();
  for (const token of language.tokens(program)) {
    if (token.kind !== "text") continue;
    const inner = token.text.replace(/^[a-zA-Z$@]*["'`]+|["'`]+$/g, "");
    const pieces = inner
      .replace(/\\[nrt]/g, "\u0000")
      .replace(putIn, "\u0000")
      .split(/\{[^{}]*\}|\u0000/)
      .filter((piece) => piece.trim() !== "");
    found.set(token.line, [...(found.get(token.line) ?? []), ...pieces]);
  }
  return found;
}

/** Lines of a program that stand in a decision or a loop: what they print depends on values. */
function dependentLines(language: Language, program: string): Set<number> {
  const found = new Set<number>();
  const tree = language.syntax?.(program);
  if (!tree) return found;
  const starts = lineStarts(program);
  walk(tree, (node: SyntaxNode) => {
    if (node.kind !== "if" && node.kind !== "switch" && node.kind !== "try" && !isLoop(node)) return;
    const from = lineAt(starts, node.from);
    for (let line = from; line <= lineAt(starts, Math.max(node.from, node.to - 1)); line++) found.add(line);
  });
  for (const node of nodesOf(tree))
    if (node.kind === "function" && node.children.some((child) => child.kind === "parameter"))
      for (let line = lineAt(starts, node.from); line <= lineAt(starts, Math.max(node.from, node.to - 1)); line++)
        if (!/^\s*(?:public\s+)?(?:static\s+)?(?:void|int)\s+main\b/i.test(program.slice(node.from, node.from + 60)))
          found.add(line);
  return found;
}

const squeezed = (text: string) => text.replace(/\s+/g, " ").trim();

/** What of a line is none of the fixed texts, in pieces; the longest texts are taken off first. */
function valuesOf(line: string, fixed: readonly string[]): string[] {
  let rest = line;
  for (const piece of [...fixed].sort((one, other) => other.length - one.length)) {
    const words = piece.trim();
    const at = words.length > 1 || /[^\d.+-]/.test(words) ? rest.indexOf(words) : -1;
    if (at >= 0) rest = `${rest.slice(0, at)}\u0000${rest.slice(at + words.length)}`;
  }
  return rest
    .split(/[\u0000\s]+/)
    .map((piece) => piece.replace(/^[,;:]+|[,;:]+$/g, ""))
    .filter((piece) => /[\p{L}\p{N}]/u.test(piece));
}

/** Takes the console of a run apart. `language` undefined: whole lines count. */
export function outputParts(
  language: Language | undefined,
  program: string,
  console: readonly ConsolePiece[],
): OutputParts {
  const pieces = intendedOf(console, program);
  const prompts: string[] = [];
  const typed: string[] = [];
  let text = "";
  for (const piece of pieces) {
    if (piece.kind === "prompt") prompts.push(...piece.text.split("\n"));
    else if (piece.kind === "in") {
      typed.push(...piece.text.split("\n"));
      if (text !== "" && !text.endsWith("\n")) text += "\n";
    } else text += piece.text;
  }
  const fixed = language ? fixedTexts(language, program) : new Map<number, string[]>();
  const depends = language ? dependentLines(language, program) : new Set<number>();
  const texts = [...fixed.values()].flat();
  const filled = (line: string) => squeezed(line) !== "";
  const lines = text
    .split("\n")
    .filter(filled)
    .map((line): OutputLine => {
      const writers = [...fixed].filter(([, own]) => own.some((piece) => squeezed(line).includes(squeezed(piece))));
      const always = writers.length > 0 && writers.every(([at]) => !depends.has(at));
      return { text: squeezed(line), values: valuesOf(line, texts), always };
    });
  return {
    ...{ lines, prompts: prompts.map(squeezed).filter(filled), typed: typed.map(squeezed).filter(filled) },
    errors: consoleText(console, ["err"]).split("\n").map(squeezed).filter(filled),
    numbered: texts.map(squeezed).filter((text) => /\d/.test(text) && /\p{L}/u.test(text)),
  };
}

/** What an output earns: the share of its values, whether the fixed words beside them are as they are, and words. */
export type OutputMark = { share: number; wordsDiffer: boolean; right: number; of: number; reason: string };

const value = (text: string) => normalValue(text).toLowerCase();

/** Signs of an error message, which need not be written. */
const errorLine =
  /^(?:Traceback \(most recent|File ".*", line \d|Exception in thread|at [\w.$]+\(|Unhandled [Ee]xception|Runtime error \d+|error: |\w*(?:Error|Exception)\b)/;

/** What of a written output is to be looked at: without the prompts, what is typed in, and error messages. */
function ownLines(written: string, parts: OutputParts, message: string): string[] {
  const errors = new Set(parts.errors);
  const lines: string[] = [];
  for (const line of written.split(/\r\n|\n|\r/)) {
    let rest = squeezed(line);
    if (rest === "" || errorLine.test(rest) || errors.has(rest) || (message !== "" && rest === squeezed(message)))
      continue;
    for (const prompt of parts.prompts) {
      if (!rest.startsWith(prompt)) continue;
      rest = rest.slice(prompt.length).trim();
      // What is typed in may stand behind its prompt.
      const echoed = parts.typed.find((each) => rest === each || rest.startsWith(`${each} `));
      if (echoed !== undefined) rest = rest.slice(echoed.length).trim();
    }
    if (parts.typed.includes(rest) && !parts.lines.some((each) => each.text === rest)) continue;
    if (rest !== "") lines.push(rest);
  }
  return lines;
}

/** How many elements two lists have in common in order. */
function inOrder(one: readonly string[], other: readonly string[]): number {
  return diffArrays([...one], [...other])
    .filter((part) => !part.added && !part.removed)
    .reduce((sum, part) => sum + part.value.length, 0);
}

/** How many elements two lists have in common, in whatever order. */
function inCommon(one: readonly string[], other: readonly string[]): number {
  const left = [...other];
  return one.filter((each) => {
    const at = left.indexOf(each);
    if (at >= 0) left.splice(at, 1);
    return at >= 0;
  }).length;
}

/** What is wanted of an output: its values in order, and what tells them from the words beside them. */
type WantedOutput = {
  values: string[];
  /** Lines that are a value as a whole, and such as say nothing that was worked out. */
  wholeLines: ReadonlySet<string>;
  fixedLines: ReadonlySet<string>;
  fixedWords: ReadonlySet<string>;
  /** Fixed words with numbers in them, the longest first, where no number or word goes on behind them; null: none. */
  numbered: RegExp | null;
};

const bareWord = (word: string) => word.toLowerCase().replace(/[^\p{L}\p{N}]/gu, "");

function wantedOf({ lines, numbered }: OutputParts): WantedOutput {
  const hasValues = lines.some((line) => line.values.length > 0 || !line.always);
  const isWhole = (line: OutputLine) => line.values.length === 0 && (!line.always || !hasValues);
  const others = lines.filter((line) => !isWhole(line));
  const wordsBeside = others.flatMap((line) =>
    line.text.split(" ").filter((word) => !line.values.some((each) => word.includes(each))),
  );
  return {
    values: lines.flatMap((line) => (isWhole(line) ? [value(line.text)] : line.values.map(value))),
    wholeLines: new Set(lines.filter(isWhole).map((line) => value(line.text))),
    fixedLines: new Set(others.filter((line) => line.values.length === 0).map((line) => line.text)),
    fixedWords: new Set(wordsBeside.map(bareWord)),
    numbered: asWords(numbered),
  };
}

/** A pattern for texts where they stand as words of their own. */
function asWords(texts: readonly string[]): RegExp | null {
  const ordered = [...texts].sort((one, other) => other.length - one.length).map(escaped);
  const own = `(?<![\\p{L}\\p{N}])(?:${ordered.join("|")})(?![\\p{L}\\p{N}]|[.,]\\d)`;
  return ordered.length === 0 ? null : new RegExp(own, "gu");
}

/** The values that a written line has, right or wrong; words beside them are none. */
function valuesWritten(line: string, wanted: WantedOutput, parts: OutputParts): string[] {
  if (wanted.wholeLines.has(value(line))) return [value(line)];
  if (wanted.fixedLines.has(line)) return [];
  const same = parts.lines.find((each) => each.text === line);
  if (same) return same.values.map(value);
  const found: string[] = [];
  let isOther = false;
  const unnamed = wanted.numbered ? line.replace(wanted.numbered, " ") : line;
  for (const word of unnamed.split(" ").filter((each) => each !== "")) {
    const bare = value(word.replace(/^[,;:]+|[,;:.]+$/g, ""));
    // A number with something around it (a unit, a sign of money) is looked at without that.
    const number = value(/[+-]?(?:\d+(?:\.\d+)?|\.\d+)/.exec(bare)?.[0] ?? bare);
    if (wanted.values.includes(bare)) found.push(bare);
    else if (/\d/.test(bare)) {
      if (wanted.values.includes(number)) found.push(number);
      else if (!wanted.fixedWords.has(bareWord(word))) found.push(bare);
    } else isOther ||= !wanted.fixedWords.has(bareWord(word));
  }
  // Where lines are values, a line of other words stands for one that is wrong.
  return isOther && found.length === 0 && wanted.wholeLines.size > 0 ? [value(line)] : found;
}

/**
 * Marks a predicted output. Values share all of it: what was worked out, and lines of fixed words that not every run writes
 * (they say which way the run went). Prompts neither earn nor cost; a value too many takes half of one away; the right values in
 * another order earn half, unless that does not count.
 */
export function markOutput(parts: OutputParts, written: string, message: string, orderCounts = true): OutputMark {
  const own = ownLines(written, parts, message);
  const key = wantedOf(parts);
  const wanted = key.values;
  const found = own.flatMap((line) => valuesWritten(line, key, parts));
  const of = wanted.length;
  if (of === 0) {
    const nothing = found.length === 0 && own.every((line) => key.fixedLines.has(line));
    return {
      ...{ share: nothing ? 1 : 0, wordsDiffer: false, right: 0, of: 0 },
      reason: nothing ? "No value is printed, as you said." : "Nothing of this is printed.",
    };
  }
  // What is typed in may be written or left out.
  for (const each of parts.typed.map(value)) {
    const at =
      found.length > of
        ? found.findIndex(
            (own, index) => own === each && inOrder(wanted, found.toSpliced(index, 1)) >= inOrder(wanted, found),
          )
        : -1;
    if (at >= 0) found.splice(at, 1);
  }
  const surplus = Math.max(0, found.length - of);
  const ordered = Math.max(0, inOrder(wanted, found) - surplus / 2);
  const anyOrder = Math.max(0, inCommon(wanted, found) - surplus / 2);
  const share = Math.max(ordered / of, orderCounts ? anyOrder / (2 * of) : 0);
  const right = inOrder(wanted, found);
  const isText = squeezed(own.join(" ")) === squeezed(parts.lines.map((line) => line.text).join(" "));
  const wordsDiffer = share > 0 && ordered === of && !isText;
  const words = [`${right} of ${of} values are right`];
  if (surplus > 0) words.push(`${surplus} too many, which take half a value each away`);
  if (anyOrder > ordered && share > ordered / of) words.push("right values stand in another order, which earns half");
  if (wordsDiffer) words.push("the words beside them are not those of the program");
  return { share, wordsDiffer, right, of, reason: `${words.join("; ")}.` };
}
