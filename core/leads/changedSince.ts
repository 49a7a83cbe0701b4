import { findHunks } from "../fixes/hunks.ts";
import type { LeadRule } from "./lead.ts";

/**
 * Lines that the last working version did not have: what was changed since is the first suspect, the more so the less
 * was changed.
 */
export const changedSince: LeadRule = ({ working, text, verdict }) => {
  if (working === undefined || verdict.class === null) return [];
  const hunks = findHunks(working, `${text.join("\n")}\n`.replace(/^\n$/, ""));
  // Line ends may differ between hand-ins; then every line would.
  if (hunks.length === 0 || hunks.length > 6) return [];
  const map = new Map<number, string>();
  let shift = 0;
  for (const hunk of hunks) {
    const start = hunk.start + shift;
    shift += hunk.after.length - hunk.before.length;
    const before = hunk.before.map((line) => line.trim()).filter((line) => line !== "");
    if (hunk.after.length === 0)
      map.set(
        Math.min(Math.max(1, start), Math.max(1, text.length)),
        `Before this line the last working version had “${(before[0] ?? "a blank line").slice(0, 60)}”.`,
      );
    for (const [index] of hunk.after.entries())
      map.set(
        start + index,
        before[index]
          ? `In the last working version this line was “${before[index]?.slice(0, 60)}”.`
          : "The last working version does not have this line.",
      );
  }
  return [...map].slice(0, 12).map(([line, why]) => ({ line, why, weight: hunks.length === 1 ? 120 : 96 }));
};
