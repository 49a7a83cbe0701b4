import { atomsOf } from "../fixes/atoms.ts";
import { findHunks, type Hunk, hunksIfTheyFit } from "../fixes/hunks.ts";
import { splitLines } from "../source/lines.ts";
import type { ExerciseFault } from "./exercise.ts";

/**
 * The student's changes sorted by the fault whose place they touch; `extras` touch none. `beside` are lines put in next
 * to a fault without changing its lines: they may mend it, or be no more than an extra.
 */
export type SortedChanges = { byFault: Hunk[][]; beside: Hunk[][]; extras: Hunk[] };

/**
 * Lines (1-based) that a hunk takes up in the text before it; a pure insertion takes up the lines on both sides of its
 * gap.
 */
function reach(hunk: Hunk): [number, number] {
  return hunk.before.length > 0 ? [hunk.start, hunk.start + hunk.before.length - 1] : [hunk.start - 1, hunk.start];
}

function touches(one: Hunk, other: Hunk): boolean {
  const [oneFrom, oneTo] = reach(one);
  const [otherFrom, otherTo] = reach(other);
  return oneFrom <= otherTo && otherFrom <= oneTo;
}

/** The changes between the exercise's program and the student's text, sorted by fault. */
export function sortChanges(program: string, answer: string, faults: readonly ExerciseFault[]): SortedChanges {
  const byFault: Hunk[][] = faults.map(() => []);
  const beside: Hunk[][] = faults.map(() => []);
  const extras: Hunk[] = [];
  for (const hunk of findHunks(program, answer).flatMap(atomsOf)) {
    const owners = faults.flatMap((fault, index) => (fault.hunks.some((own) => touches(own, hunk)) ? [index] : []));
    if (owners.length === 0) extras.push(hunk);
    for (const owner of owners) {
      const onIt = faults[owner]?.hunks.some((own) => overlaps(own, hunk)) ?? false;
      (hunk.before.length > 0 || onIt ? byFault : beside)[owner]?.push(hunk);
    }
  }
  return { byFault, beside, extras };
}

/**
 * The program in which the student's changes stand for fault `index` and all other faults are mended by the key. Key
 * changes that overlap the student's are left out, since the student's stand there. Null if the parts do not fit
 * together.
 */
export function programForFault(
  program: string,
  faults: readonly ExerciseFault[],
  index: number,
  own: readonly Hunk[],
): string | null {
  const others = faults
    .flatMap((fault, at) => (at === index ? [] : fault.hunks))
    .filter((hunk) => !own.some((each) => touches(each, hunk) && overlaps(each, hunk)));
  return hunksIfTheyFit(program, [...others, ...own]);
}

/** True if two hunks take up a same line or insert at the same gap. */
function overlaps(one: Hunk, other: Hunk): boolean {
  if (one.before.length === 0 || other.before.length === 0) return one.start === other.start;
  return one.start < other.start + other.before.length && other.start < one.start + one.before.length;
}

/** Number of lines that hunks change, counted as the larger of lines taken out and put in. */
export function changedLines(hunks: readonly Hunk[]): number {
  return hunks.reduce(
    (sum, hunk) => sum + Math.max(hunk.before.length, hunk.after.filter((line) => line.trim() !== "").length),
    0,
  );
}

/** Line ends of a text made those of the program, so that an editor's own line ends are no change. */
export function withLineEndsOf(program: string, text: string): string {
  const end = splitLines(program).find((line) => line.end !== "")?.end ?? "\n";
  const lines = splitLines(text);
  const joined = lines.map((line) => line.text + (line.end === "" ? "" : end)).join("");
  const programEnds = /[\r\n]$/.test(program);
  return programEnds && joined !== "" && !/[\r\n]$/.test(joined) ? joined + end : joined;
}
