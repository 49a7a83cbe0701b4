import { diffArrays } from "diff";
import { splitLines } from "../source/lines.ts";

/**
 * One changed place: `start` is the 1-based line of the before text where it begins (for a pure insertion the line
 * before which it goes), `before` the lines taken out, `after` those put in, both with their line ends. Without a file
 * it is a place of the main file. `extra`: it was changed along with a fix that does not need it.
 */
export type Hunk = { file?: string; start: number; before: string[]; after: string[]; extra?: boolean };

function linesWithEnds(text: string): string[] {
  return splitLines(text).map((line) => line.text + line.end);
}

/** Lines that were taken out or put in, at most, that are told apart. */
const mostChanged = 2000;

/** Two lists of lines as one place: all between what they have in common at their beginning and at their end. */
function onePlace(before: readonly string[], after: readonly string[]): Hunk[] {
  const most = Math.min(before.length, after.length);
  let [first, last] = [0, 0];
  while (first < most && before[first] === after[first]) first += 1;
  while (last < most - first && before.at(-1 - last) === after.at(-1 - last)) last += 1;
  const between = (lines: readonly string[]) => lines.slice(first, lines.length - last);
  return [{ start: first + 1, before: between(before), after: between(after) }];
}

/**
 * The changed lines between two texts, and nothing else. Lines differ if any character does, line ends included. Of texts
 * that have next to nothing in common all that differs is one place.
 */
export function findHunks(before: string, after: string): Hunk[] {
  const hunks: Hunk[] = [];
  let line = 1;
  let open: Hunk | null = null;
  const [one, other] = [linesWithEnds(before), linesWithEnds(after)];
  const parts = diffArrays(one, other, { maxEditLength: mostChanged });
  if (!parts) return onePlace(one, other);
  for (const part of parts) {
    if (!part.added && !part.removed) {
      open = null;
      line += part.value.length;
      continue;
    }
    if (!open) {
      open = { start: line, before: [], after: [] };
      hunks.push(open);
    }
    if (part.removed) {
      open.before.push(...part.value);
      line += part.value.length;
    } else {
      open.after.push(...part.value);
    }
  }
  return hunks;
}

/** The text with the hunks applied. Hunks must not overlap; throws if a hunk's before-lines are not there. */
export function applyHunks(text: string, hunks: readonly Hunk[]): string {
  const lines = linesWithEnds(text);
  // From the end; at one place what is taken out comes before what is put in before it.
  const fromEnd = [...hunks]
    .reverse()
    .sort((one, other) => other.start - one.start || other.before.length - one.before.length);
  for (const hunk of fromEnd) {
    const found = lines.slice(hunk.start - 1, hunk.start - 1 + hunk.before.length);
    if (found.some((line, index) => line !== hunk.before[index]) || found.length !== hunk.before.length)
      throw new Error(`The lines at ${hunk.start} are not those the change was made for.`);
    lines.splice(hunk.start - 1, hunk.before.length, ...hunk.after);
  }
  return lines.join("");
}

/** The text with the hunks applied; null where they do not fit it or one another. */
export function hunksIfTheyFit(text: string, hunks: readonly Hunk[]): string | null {
  try {
    return applyHunks(text, hunks);
  } catch {
    return null;
  }
}

/** The lines (1-based, of the text before) that hunks are about: those that go, or the line above what is only put in. */
export function linesOfHunks(hunks: readonly Hunk[]): number[] {
  return hunks.flatMap((hunk) =>
    hunk.before.length > 0 ? hunk.before.map((_, index) => hunk.start + index) : [Math.max(1, hunk.start - 1)],
  );
}

/**
 * Where the lines of the before text went: for each 1-based before-line its after-line, or null if it was taken out.
 * Index 0 is unused.
 */
export function mapLines(before: string, hunks: readonly Hunk[]): Array<number | null> {
  const count = splitLines(before).length;
  const map: Array<number | null> = [null];
  let shift = 0;
  let line = 1;
  for (const hunk of [...hunks].sort((one, other) => one.start - other.start)) {
    for (; line < hunk.start; line++) map[line] = line + shift;
    for (const _ of hunk.before) map[line++] = null;
    shift += hunk.after.length - hunk.before.length;
  }
  for (; line <= count; line++) map[line] = line + shift;
  return map;
}

/**
 * Hunks made on a later text carried back to the first one, so that a single fault's change stands alone.
 * `mapping` gives for each first-text line its line in the later text (see mapLines, composed over steps).
 * A hunk whose lines an earlier change touched cannot stand alone: it is returned in `tied`.
 */
export function carryBack(
  hunks: readonly Hunk[],
  mapping: ReadonlyArray<number | null>,
): { free: Hunk[]; tied: Hunk[] } {
  const free: Hunk[] = [];
  const tied: Hunk[] = [];
  const origin = new Map<number, number>();
  mapping.forEach((later, first) => {
    if (later !== null && first > 0) origin.set(later, first);
  });
  for (const hunk of hunks) {
    const starts =
      hunk.before.length > 0
        ? hunk.before.map((_, index) => origin.get(hunk.start + index))
        : [origin.get(hunk.start) ?? (origin.get(hunk.start - 1) ?? -1) + 1];
    const [start] = starts;
    const contiguous = start !== undefined && start > 0 && starts.every((line, index) => line === start + index);
    if (contiguous) free.push({ ...hunk, start });
    else tied.push(hunk);
  }
  return { free, tied };
}
