import type { TableRow } from "./table.ts";

/**
 * Moves of a dry run. `done` is how many rows have run; the nib stands on the row after them. Each gives the new `done`, or null where
 * there is nothing to go to.
 */
export type Rows = ReadonlyArray<
  Pick<
    TableRow,
    "step" | "line" | "file" | "depth" | "cells" | "short" | "again" | "objects" | "output" | "pass" | "raised"
  >
>;

/** Into what the line calls: to where the function is entered; null where the line calls none of the program. */
export function into(rows: Rows, done: number): number | null {
  const [at, next] = [rows[done], rows[done + 1]];
  return at && next && next.depth > at.depth ? done + 1 : null;
}

/** Over what the line calls: to the next row that is no deeper. */
export function over(rows: Rows, done: number): number | null {
  const at = rows[done];
  if (!at) return null;
  const next = rows.findIndex((row, place) => place > done && row.depth <= at.depth);
  return next < 0 ? rows.length : next;
}

/** Out of the call: to the next row that is less deep. */
export function out(rows: Rows, done: number): number | null {
  const at = rows[done];
  if (!at || at.depth === 0) return null;
  const next = rows.findIndex((row, place) => place > done && row.depth < at.depth);
  return next < 0 ? rows.length : next;
}

/** Steps at which the breakpoints of some lines count, by the line; those of the other lines always do. */
export type Only = ReadonlyMap<number, ReadonlySet<number>>;

/** To the next row whose line has a breakpoint that counts there, or to the end. */
export function toBreakpoint(
  rows: Rows,
  done: number,
  breakpoints: ReadonlySet<number>,
  only: Only = new Map(),
): number {
  const next = rows.findIndex(
    (row, place) =>
      place > done && row.file === 0 && breakpoints.has(row.line) && (only.get(row.line)?.has(row.step) ?? true),
  );
  return next < 0 ? rows.length : next;
}

/** To the first row of a pass, as it is written in the table (`3`, `2.3`); the first one there is, wherever the nib stands. */
export function toPass(rows: Rows, pass: string): number | null {
  const next = rows.findIndex((row) => row.pass === pass);
  return next < 0 ? null : next;
}

/** What a row shows, in one text in lower case. */
function textOf(row: Rows[number] & Partial<TableRow>): string {
  const { cells, output, condition = "", call = "", returned = "", input = "", raised = "" } = row;
  return [...Object.values(cells), output, condition, call, returned, input, raised].join("\n").toLowerCase();
}

/** To the next row that shows a text in one of its cells, in whatever case; from the first one on where none comes; null where none does. */
export function toText(rows: Rows, done: number, text: string): number | null {
  const wanted = text.trim().toLowerCase();
  if (wanted === "") return null;
  const shows = (row: Rows[number]) => textOf(row).includes(wanted);
  const next = rows.findIndex((row, place) => place >= done && shows(row));
  const found = next < 0 ? rows.findIndex(shows) : next;
  // The row stands in the table when it has run.
  return found < 0 ? null : found + 1;
}

/** To the row that was stopped by an error, the last one there is. */
export function toCrash(rows: Rows): number | null {
  const last = rows.findLastIndex((row) => row.raised !== undefined);
  return last < 0 ? null : last;
}

/**
 * To the row that printed the first character that differs from what is intended; null where all of it is as intended. Blanks and
 * line ends at the end do not count.
 */
export function toFirstWrong(rows: Rows, intended: string): number | null {
  const printed = rows.map((row) => row.output).join("");
  if (printed.trimEnd() === intended.trimEnd()) return null;
  let at = 0;
  while (at < printed.length && printed[at] === intended[at]) at += 1;
  let seen = 0;
  for (const [place, row] of rows.entries()) {
    seen += row.output.length;
    if (row.output !== "" && seen > at) return place;
  }
  // All that was printed is right; something is missing at the end.
  return rows.length;
}

/** Where each column changes, by the places of rows in their order: made once for a table of any length. */
export type Changes = ReadonlyMap<string, readonly number[]>;

export const changesOf = (rows: Rows): Changes => placesOf(rows, (row) => row.cells);

/** Where named objects are told of, by their names. */
export const objectChangesOf = (rows: Rows): Changes => placesOf(rows, (row) => row.objects);

function placesOf(rows: Rows, of: (row: Rows[number]) => Readonly<Record<string, string>> | undefined): Changes {
  const found = new Map<string, number[]>();
  for (const [at, row] of rows.entries())
    for (const key in of(row)) {
      const places = found.get(key);
      if (places) places.push(at);
      else found.set(key, [at]);
    }
  return found;
}

/** The last of rising places that lies before one; undefined where none does. */
function lastBefore(places: readonly number[], before: number): number | undefined {
  let [low, high] = [0, places.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((places[middle] ?? 0) < before) low = middle + 1;
    else high = middle;
  }
  return places[low - 1];
}

/** What every column holds when `done` rows have run, those that changed last first, with the place of that change. */
export function valuesAt(
  rows: Rows,
  done: number,
  changes: Changes = changesOf(rows),
): Array<{ key: string; text: string; at: number }> {
  return [...changes]
    .flatMap(([key, places]) => {
      const at = lastBefore(places, done);
      if (at === undefined) return [];
      // Back in an outer call, its own values stand again as soon as its line is about to go on.
      const text = rows[done]?.again?.[key] ?? rows[at]?.short?.[key] ?? rows[at]?.cells[key] ?? "";
      return [{ key, text, at }];
    })
    .sort((one, other) => other.at - one.at);
}

/** What a named object holds when `done` rows have run; undefined where it was not told of yet. */
export function objectAt(rows: Rows, done: number, name: string, changes: Changes): string | undefined {
  const at = lastBefore(changes.get(name) ?? [], done);
  return at === undefined ? undefined : rows[at]?.objects?.[name];
}
