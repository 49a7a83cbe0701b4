import { piecesAsked } from "../outcome/cells.ts";
import type { ConsolePiece } from "../outcome/outcome.ts";
import { consoleText } from "../outcome/outcome.ts";
import { giveInAnyOrder } from "./anyOrder.ts";
import { type Comparison, likeness, linesFor, sameLine } from "./comparison.ts";
import { type IntendedPiece, textWithPrompts } from "./intended.ts";

/**
 * How a result compares with the intended one. `line` and `column` (1-based, UTF-16) are the place of the first
 * difference in what the program wrote on standard output; `resultLine` (1-based) is the line among the intended ones,
 * prompts not counted, so that it is the same for programs that word their prompts differently.
 */
export type OutputComparison =
  | { same: true; promptsIgnored: boolean }
  | {
      same: false;
      line: number;
      column: number;
      resultLine: number;
      intended: string | null;
      actual: string | null;
      onlyPromptsDiffer: boolean;
    };

/** What is intended: a text, or the pieces that a model gave, of which it is known what is a prompt. */
export type Intended = string | readonly IntendedPiece[];

/** Lines for comparing: line ends, blanks at line ends and blank lines at the end do not count. */
export function comparableLines(text: string): string[] {
  return linesFor(text, {});
}

/**
 * A line for comparing. `skipTo`: the index to go on at where it is left aside as (part of) a prompt, or null. `joins`:
 * nothing ended its line but what was typed in, so the next one may be the rest of it. `line`, `column`: where it begins
 * on standard output.
 */
type Item = { text: string; line: number; column: number; skipTo: number | null; joins: boolean };

/** What a run wrote, by lines; whatever stands directly before a read may be left aside, back to any line. */
function printedItems(pieces: readonly ConsolePiece[]): Item[] {
  const items: Item[] = [];
  let [line, column] = [1, 1];
  let begun: Item | null = null;
  let first = 0;
  for (const piece of pieces) {
    if (piece.kind === "in") {
      if (begun) begun.joins = true;
      begun = null;
      for (const item of items.slice(first)) item.skipTo = items.length;
      first = items.length;
      continue;
    }
    if (piece.kind !== "out") continue;
    for (const part of piece.text.split(/(?<=\n)/)) {
      if (part === "") continue;
      if (!begun) {
        begun = { text: "", line, column, skipTo: null, joins: false };
        items.push(begun);
      }
      begun.text += part.replace(/[\r\n]+$/, "");
      column += part.length;
      if (part.endsWith("\n")) {
        [line, column] = [line + 1, 1];
        begun = null;
      }
    }
  }
  return items;
}

function plainItems(text: string, comparison: Comparison): Item[] {
  return linesFor(text, comparison).map((each, index) => ({
    ...{ text: each, line: index + 1, column: 1, skipTo: null, joins: false },
  }));
}

/** What is intended, by lines; a prompt may be left aside. */
function intendedItems(intended: Intended, comparison: Comparison): Item[] {
  if (typeof intended === "string") return plainItems(intended, comparison);
  const items: Item[] = [];
  let begun: Item | null = null;
  for (const piece of intended) {
    if (piece.kind === "in") begun = null;
    else
      for (const part of piece.text.split(/(?<=\n)/)) {
        if (part === "") continue;
        if (!begun) {
          begun = {
            text: "",
            line: 1,
            column: 1,
            skipTo: piece.kind === "prompt" ? items.length + 1 : null,
            joins: false,
          };
          items.push(begun);
        }
        if (piece.kind === "out") begun.skipTo = null;
        begun.text += part.replace(/[\r\n]+$/, "");
        if (part.endsWith("\n")) begun = null;
      }
  }
  return items;
}

function withoutEndingBlanks(items: Item[], { blanks }: Comparison): Item[] {
  if (blanks === "exact") return items;
  let length = items.length;
  while (items[length - 1]?.text.trim() === "") length--;
  return items
    .slice(0, length)
    .map((item) => (item.skipTo !== null && item.skipTo > length ? { ...item, skipTo: length } : item));
}

/** Where two lists of lines part: the lines of either, null where there are no more. Null where they do not. */
type Parting = { printed: Item | null; wanted: Item | null } | null;

/** Which of the intended lines one is, prompts not counted, from 1; the one behind the last for null. */
function resultLineOf(wanted: readonly Item[], item: Item | null): number {
  const results = wanted.filter((each) => each.skipTo === null);
  const at = item ? results.indexOf(item) : results.length;
  return at >= 0 ? at + 1 : 1;
}

/** More states than this are not looked at: programs that write that much alike before their reads are not met. */
const mostStates = 400_000;

/** Line by line in their order, with what may be left aside on both sides left aside where that helps. */
function partingInOrder(printed: readonly Item[], wanted: readonly Item[], comparison: Comparison): Parting {
  const width = wanted.length + 1;
  const seen = new Set<number>([0]);
  const waiting = [0];
  // The furthest that anybody came in what is intended, with every place in what was printed where that ended.
  let furthest = { at: -1, ends: [] as number[] };
  const reach = (at: number, intended: number) => {
    const state = at * width + intended;
    if (seen.has(state) || seen.size > mostStates) return;
    seen.add(state);
    waiting.push(state);
  };
  for (let state = waiting.pop(); state !== undefined; state = waiting.pop()) {
    const [at, intended] = [Math.floor(state / width), state % width];
    const [item, want] = [printed[at], wanted[intended]];
    if (!item && !want) return null;
    if (item?.skipTo) reach(item.skipTo, intended);
    if (want?.skipTo) reach(at, want.skipTo);
    const next = printed[at + 1];
    if (item && want && sameLine(item.text, want.text, comparison)) reach(at + 1, intended + 1);
    else {
      if (intended > furthest.at) furthest = { at: intended, ends: [] };
      if (intended === furthest.at) furthest.ends.push(at);
    }
    if (item?.joins && next && want && sameLine(item.text + next.text, want.text, comparison))
      reach(at + 2, intended + 1);
  }
  const want = wanted[furthest.at] ?? null;
  return {
    printed: mostLike(
      furthest.ends.map((at) => printed[at] ?? null),
      want,
    ),
    wanted: want,
  };
}

/**
 * The line that was most likely written in the place of the wanted one, the first of those that are equally like it; null:
 * none was. Where none is like it, one that is no prompt counts before the end of the output, and that before a prompt.
 */
function mostLike(items: ReadonlyArray<Item | null>, want: Item | null): Item | null {
  const found = items
    .filter((item) => item !== null)
    .sort((one, other) => one.line - other.line || one.column - other.column);
  const plain = found.filter((item) => item.skipTo === null);
  if (!want) return plain[0] ?? found[0] ?? null;
  const likeIt = found.filter((item) => likeness(item.text, want.text) * 3 >= want.text.length);
  const among = likeIt.length > 0 ? likeIt : plain.length > 0 ? plain : items.includes(null) ? [] : found;
  let best: Item | null = null;
  for (const item of among) if (!best || likeness(item.text, want.text) > likeness(best.text, want.text)) best = item;
  return best;
}

/** In any order: every intended line has one of its own among those that were written. */
function partingInAnyOrder(printed: readonly Item[], wanted: readonly Item[], comparison: Comparison): Parting {
  const { missing, extra, left } = giveInAnyOrder(printed, wanted, {
    fits: (item, want) => sameLine(item.text, want.text, comparison),
    isExact: typeof comparison.numbers !== "number",
    mayBeLeft: (item) => item.skipTo !== null,
    counts:
      comparison.otherLines === "ignored"
        ? null
        : (item) => item.skipTo === null && (item.text.trim() !== "" || comparison.blanks === "exact"),
  });
  if (missing) return { printed: mostLike(left, missing), wanted: missing };
  return extra ? { printed: extra, wanted: null } : null;
}

/** Every intended line is found after the one before; whatever stands between does not matter, nor what may be left aside. */
function partingAmongOthers(printed: readonly Item[], wanted: readonly Item[], comparison: Comparison): Parting {
  let at = 0;
  for (const want of wanted) {
    if (want.skipTo !== null) continue;
    const found = printed.findIndex((item, index) => index >= at && sameLine(item.text, want.text, comparison));
    if (found < 0) return { printed: mostLike(printed.slice(at), want), wanted: want };
    at = found + 1;
  }
  return null;
}

function partingOf(printed: readonly Item[], wanted: readonly Item[], comparison: Comparison): Parting {
  if (comparison.order === "free") return partingInAnyOrder(printed, wanted, comparison);
  if (comparison.otherLines === "ignored") return partingAmongOthers(printed, wanted, comparison);
  return partingInOrder(printed, wanted, comparison);
}

/**
 * Compares what a run printed on standard output with what is intended (rule of the job: compared is standard output
 * with prompts; an intended text that holds the typed values where they were echoed matches too). Where prompts do not
 * count, it passes if any choice of leaving aside what stands before a read gives the intended output: a program
 * without prompts keeps its result lines. Of cells of a workbook those count that the intended text names.
 */
export function compareOutput(
  console: readonly ConsolePiece[],
  intended: Intended,
  comparison: Comparison = {},
): OutputComparison {
  const wantedText = typeof intended === "string" ? intended : textWithPrompts(intended);
  const wanted = plainItems(wantedText, comparison);
  const pieces = piecesAsked(console, wantedText);
  const written = consoleText(pieces, ["out"]);
  const plain = partingOf(plainItems(written, comparison), wanted, comparison);
  if (!plain) return { same: true, promptsIgnored: false };
  if (pieces.some((piece) => piece.kind === "in")) {
    const echoed = plainItems(consoleText(pieces, ["out", "in"]), comparison);
    if (!partingOf(echoed, wanted, comparison)) return { same: true, promptsIgnored: false };
  }
  const wantedItems = withoutEndingBlanks(intendedItems(intended, comparison), comparison);
  const bare = partingOf(withoutEndingBlanks(printedItems(pieces), comparison), wantedItems, comparison);
  const ignored = comparison.prompts === "ignored";
  if (!bare && ignored) return { same: true, promptsIgnored: true };
  const [parting, among] = ignored && bare ? [bare, wantedItems] : [plain, wanted];
  const end = { line: written.split("\n").length - (written.endsWith("\n") || written === "" ? 1 : 0) + 1, column: 1 };
  const [actual, want] = [parting.printed?.text ?? "", parting.wanted?.text ?? ""];
  let column = 0;
  while (column < actual.length && actual[column] === want[column]) column++;
  return {
    same: false,
    line: parting.printed?.line ?? end.line,
    column: (parting.printed?.column ?? end.column) + (parting.printed ? column : 0),
    resultLine: resultLineOf(among, parting.wanted),
    intended: parting.wanted?.text ?? null,
    actual: parting.printed?.text ?? null,
    onlyPromptsDiffer: !bare,
  };
}
