import type { LeadRule } from "./lead.ts";

/** Where a debugger found a program that a signal killed: the tool itself named no line, so this is ours. */
export const foundPlace: LeadRule = ({ verdict, outcome }) => {
  if (verdict.class !== "runtime" || !outcome?.found) return [];
  const own = outcome.found.frames.filter((frame) => frame.own && frame.line !== undefined);
  return own
    .slice(-3)
    .reverse()
    .map((frame, index) => ({
      line: frame.line ?? 1,
      why:
        index === 0
          ? "Found by us with a debugger in a second run: the crash happened here. The tool itself names no line."
          : "The crash happened in a function that was called from here.",
      weight: index === 0 ? 85 : 55,
    }));
};
