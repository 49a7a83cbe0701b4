import { findHunks } from "../fixes/hunks.ts";
import type { LeadRule } from "./lead.ts";

/** What a line begins with: its blanks and tabs, in words. */
function indentWords(line: string): string {
  const blanks = /^[ \t]*/.exec(line)?.[0] ?? "";
  const tabs = blanks.split("\t").length - 1;
  const spaces = blanks.length - tabs;
  const words = [
    ...(tabs > 0 ? [tabs === 1 ? "1 tab" : `${tabs} tabs`] : []),
    ...(spaces > 0 ? [spaces === 1 ? "1 blank" : `${spaces} blanks`] : []),
  ];
  return words.join(" and ") || "no blanks";
}

/** What a line was before, in words; of one that is only indented otherwise that is said, since it cannot be seen. */
function changeWords(before: string | undefined, after: string): string {
  if (before === undefined || before.trim() === "") return "The last working version does not have this line.";
  if (before.trim() === after.trim())
    return `In the last working version this line began with ${indentWords(before)}, here with ${indentWords(after)}.`;
  const quoted = indentWords(before) === indentWords(after) ? before.trim() : before.trimEnd();
  return `In the last working version this line was “${quoted.slice(0, 80)}”.`;
}

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
    if (hunk.after.length === 0) {
      const gone = hunk.before.map((line) => line.trim()).find((line) => line !== "");
      map.set(
        Math.min(Math.max(1, start), Math.max(1, text.length)),
        `Before this line the last working version had “${(gone ?? "a blank line").slice(0, 60)}”.`,
      );
    }
    for (const [index, line] of hunk.after.entries())
      if (line.trim() !== "" || hunk.after.length === 1) map.set(start + index, changeWords(hunk.before[index], line));
  }
  return [...map].slice(0, 12).map(([line, why]) => ({ line, why, weight: hunks.length === 1 ? 140 : 118 }));
};
