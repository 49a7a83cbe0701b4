import type { Hunk } from "./hunks.ts";

/** How much of the shorter of two lines they share at their beginnings and ends, 0 to 1, blanks at the ends left aside. */
function likeness(one: string, other: string): number {
  const [first, second] = [one.trim(), other.trim()];
  const short = Math.min(first.length, second.length);
  if (short === 0) return first === second ? 1 : 0;
  let start = 0;
  while (start < short && first[start] === second[start]) start += 1;
  let end = 0;
  while (end < short - start && first.at(-1 - end) === second.at(-1 - end)) end += 1;
  return (start + end) / Math.max(first.length, second.length);
}

/** What it costs to take a line out or to put one in, where a line that becomes another costs 1 less their likeness. */
const alone = 0.45;

/**
 * The smallest changes that a hunk is made of, in order: a line that becomes another one, a line taken out, a line put in.
 * Which line became which is told by their likeness (an alignment of least cost).
 */
export function atomsOf(hunk: Hunk): Hunk[] {
  const { before, after } = hunk;
  const cost: number[][] = Array.from({ length: before.length + 1 }, () => []);
  for (let row = before.length; row >= 0; row--)
    for (let column = after.length; column >= 0; column--) {
      const choices = [
        row < before.length ? (cost[row + 1]?.[column] ?? 0) + alone : Number.POSITIVE_INFINITY,
        column < after.length ? (cost[row]?.[column + 1] ?? 0) + alone : Number.POSITIVE_INFINITY,
        row < before.length && column < after.length
          ? (cost[row + 1]?.[column + 1] ?? 0) + 1 - likeness(before[row] ?? "", after[column] ?? "")
          : Number.POSITIVE_INFINITY,
      ];
      (cost[row] ?? [])[column] = row === before.length && column === after.length ? 0 : Math.min(...choices);
    }
  const atoms: Hunk[] = [];
  const atom = (row: number, out: string[], into: string[]) =>
    atoms.push({ ...(hunk.file ? { file: hunk.file } : {}), start: hunk.start + row, before: out, after: into });
  let [row, column] = [0, 0];
  while (row < before.length || column < after.length) {
    const here = cost[row]?.[column] ?? 0;
    const near = (other: number | undefined) => other !== undefined && Math.abs(here - other) < 1e-9;
    const [line, next] = [before[row], after[column]];
    if (
      line !== undefined &&
      next !== undefined &&
      near((cost[row + 1]?.[column + 1] ?? 0) + 1 - likeness(line, next))
    ) {
      if (line !== next) atom(row, [line], [next]);
      row += 1;
      column += 1;
    } else if (line !== undefined && near((cost[row + 1]?.[column] ?? Number.NaN) + alone)) {
      atom(row, [line], []);
      row += 1;
    } else {
      atom(row, [], [next ?? ""]);
      column += 1;
    }
  }
  return atoms;
}
