import { diffArrays } from "diff";
import { findHunks } from "../fixes/hunks.ts";
import { lineTexts } from "../source/lines.ts";
import type { TableRow, TraceTable } from "./table.ts";

/** A run with the text that ran. */
export type ComparedRun = { text: string; table: TraceTable };

/** Rows of two runs beside each other; null where one of them has none there. */
export type RowPair = { left: TableRow | null; right: TableRow | null };

/** Where two runs part: the first pair that differs, and in which column (a key of both, "condition", "output", "input" or "line"). */
export type FirstDifference = { pair: number; column: string };

export type ComparedRuns = { pairs: RowPair[]; first: FirstDifference | null };

/** Rows of each side that are aligned by a diff at most; what comes after is put beside each other one by one. */
const mostAligned = 4000;
/** Rows that one side has and the other has not, at most, that are looked for; runs with more have little in common. */
const mostApart = 2000;

/**
 * What a line is called in both texts: its number in the left one, also for a line of the right one that was changed or moved by what
 * was put in or taken out before it.
 */
function namesOfLines(
  left: string,
  right: string,
): { left: (line: number) => string; right: (line: number) => string } {
  const names = new Map<number, string>();
  const count = lineTexts(right).length;
  let shift = 0;
  let at = 1;
  const plain = (until: number) => {
    for (; at < until; at++) names.set(at, String(at - shift));
  };
  for (const hunk of findHunks(left, right)) {
    plain(hunk.start + shift);
    for (const [place] of hunk.after.entries()) {
      // A changed line stands for the one that it replaces; one more than there were is new.
      names.set(at, place < hunk.before.length ? String(hunk.start + place) : `new ${at}`);
      at += 1;
    }
    shift += hunk.after.length - hunk.before.length;
  }
  plain(count + 1);
  return { left: (line) => String(line), right: (line) => names.get(line) ?? `new ${line}` };
}

/** The first column in which two rows that ran the same line differ; null where they tell the same. */
function differsIn(left: TableRow, right: TableRow, shared: ReadonlySet<string>): string | null {
  for (const key of new Set([...Object.keys(left.cells), ...Object.keys(right.cells)]))
    if (shared.has(key) && left.cells[key] !== right.cells[key]) return key;
  // A line that was changed may well ask something else; what it comes to is what counts.
  const came = (row: TableRow) => row.condition?.split(";")[0];
  if (came(left) !== came(right)) return "condition";
  if ((left.input ?? "") !== (right.input ?? "")) return "input";
  if (left.output !== right.output) return "output";
  return left.raised === right.raised ? null : "output";
}

/**
 * Two recorded runs beside each other: aligned step by step where they ran the same lines (of the same text, or of one that was
 * changed in places), with the first place at which they part. Only variables that both have are compared.
 */
export function compareRuns(left: ComparedRun, right: ComparedRun): ComparedRuns {
  const names = namesOfLines(left.text, right.text);
  const key = (row: TableRow, name: (line: number) => string) => `${row.file} ${row.depth} ${name(row.line)}`;
  const [leftRows, rightRows] = [left.table.rows, right.table.rows];
  const leftKeys = leftRows.map((row) => key(row, names.left));
  const rightKeys = rightRows.map((row) => key(row, names.right));
  const pairs: RowPair[] = [];
  // What both have in common at their beginning needs no diff, however long it is.
  let same = 0;
  while (same < leftKeys.length && same < rightKeys.length && leftKeys[same] === rightKeys[same]) same += 1;
  let [at, other] = [0, 0];
  const both = () => pairs.push({ left: leftRows[at++] ?? null, right: rightRows[other++] ?? null });
  for (let place = 0; place < same; place++) both();
  const rest = (keys: readonly string[]) => keys.slice(same, same + mostAligned);
  for (const part of diffArrays(rest(leftKeys), rest(rightKeys), { maxEditLength: mostApart }) ?? [])
    for (let count = 0; count < part.value.length; count++) {
      if (part.removed) pairs.push({ left: leftRows[at++] ?? null, right: null });
      else if (part.added) pairs.push({ left: null, right: rightRows[other++] ?? null });
      else both();
    }
  while (at < leftRows.length || other < rightRows.length) both();

  const columns = (run: ComparedRun) => run.table.columns.map((column) => column.key);
  const inRight = new Set(columns(right));
  const shared = new Set(columns(left).filter((each) => inRight.has(each)));
  for (const [pair, { left: one, right: two }] of pairs.entries()) {
    const sameLine = one && two && key(one, names.left) === key(two, names.right);
    if (!sameLine) return { pairs, first: { pair, column: "line" } };
    const column = differsIn(one, two, shared);
    if (column !== null) return { pairs, first: { pair, column } };
  }
  return { pairs, first: null };
}
