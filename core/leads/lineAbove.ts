import type { LeadRule } from "./lead.ts";

/** How many lines of code above the reported one are looked at. */
const reach = 2;

/**
 * A grammar fault is noticed on its line or after it: upwards from the reported line, past blank lines and comments.
 */
export const lineAbove: LeadRule = ({ verdict, codeLines }) => {
  if (verdict.class !== "syntax" || verdict.kind === "meaning" || verdict.reportedLine === null) return [];
  const reported = verdict.reportedLine;
  const above = [...codeLines.keys()].filter((line) => line < reported).sort((one, other) => other - one);
  return above.slice(0, reach).map((line, index) => ({
    line,
    why:
      index === 0
        ? "The code just above the reported line: a slip here is often noticed only on the next line."
        : "Further up, past blank lines and comments.",
    weight: 70 - index * 20,
  }));
};
