import type { Hunk } from "../fixes/hunks.ts";
import type { Change } from "./pattern.ts";

/** What two lines have at their beginning and at their end, cut off: what stood there, and what stands there now. */
function difference(before: string, after: string): { before: string; after: string } {
  let from = 0;
  while (from < before.length && from < after.length && before[from] === after[from]) from += 1;
  let end = 0;
  while (
    end < before.length - from &&
    end < after.length - from &&
    before[before.length - 1 - end] === after[after.length - 1 - end]
  )
    end += 1;
  return { before: before.slice(from, before.length - end), after: after.slice(from, after.length - end) };
}

/** A mending in small changes, in the order in which its steps were found: those of its hunks, each with the family of its step. */
export function changesOf({
  hunks,
  families,
  lines,
}: {
  hunks: readonly Hunk[];
  families: readonly string[];
  lines: readonly number[];
}): Change[] {
  const [first = 0] = lines;
  const found = hunks
    .filter((hunk) => hunk.file === undefined)
    .map((hunk): Omit<Change, "family"> => {
      const [lineBefore, lineAfter] = [hunk.before.join("\n"), hunk.after.join("\n")];
      return { ...difference(lineBefore, lineAfter), lineBefore, lineAfter, line: hunk.start };
    });
  // The step that was found first is the one that the sentence is about.
  const order = [...found].sort((one, other) => Math.abs(one.line - first) - Math.abs(other.line - first));
  return order.map((change, at) => ({ ...change, family: families[at] ?? families[0] ?? "" }));
}
