import { createTwoFilesPatch } from "diff";
import { type CaseEntry, fileNameOf, firstOf, mainNameOf, mainTextOf, type ReadEntry } from "./caseEntry.ts";

/** The version of a case in which its last mended fault is mended; null where nothing is. */
export function mendedVersion(entry: CaseEntry): number | null {
  return entry.layers.findLast((layer) => layer.after !== null)?.after ?? null;
}

/**
 * The mending of a case as a unified diff that `patch -p1` applies to the program as it was handed in, which lies under `NAME/FILE`; "" where nothing
 * is mended. Line ends are those of the program.
 */
export function casePatch(read: ReadEntry, at: number): string {
  const to = mendedVersion(read.entry);
  if (to === null) return "";
  const [before, after] = [mainTextOf(read, firstOf(read.entry)), mainTextOf(read, to)];
  if (before === after) return "";
  const path = `${fileNameOf(read.entry, at)}/${mainNameOf(read.entry)}`;
  const patch = createTwoFilesPatch(`a/${path}`, `b/${path}`, before, after, undefined, undefined, { context: 3 });
  // The line of signs above belongs to another format than the one that patch reads.
  return patch.replace(/^={3,}\n/, "");
}

/** The mendings of several cases, one after another. */
export function casesPatch(entries: readonly ReadEntry[]): string {
  return entries.map(casePatch).join("");
}
