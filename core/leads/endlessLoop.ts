import type { Lead, LeadRule } from "./lead.ts";

/** Steps at the end of a recording that are looked at. */
const recentSteps = 2000;

/**
 * For a run that does not end: the header of the loop it was in, and the last line of that loop's body, where a change is
 * often missing. That loop is the innermost whose body holds all lines of the recording's end: a smaller one in it began
 * and ended over and over.
 */
export const endlessLoop: LeadRule = ({ verdict, trace, codeLines, language, text }) => {
  if (!["does not end", "has not ended", "not decided"].includes(verdict.symptom) || !trace?.cut) return [];
  const recent = new Set(
    trace.steps
      .slice(-recentSteps)
      .filter((step) => step.file === 0)
      .map((step) => step.line),
  );
  const leads: Lead[] = [];
  for (const header of recent) {
    const condition = language.loopCondition(codeLines.get(header) ?? []);
    if (!condition) continue;
    const body = language.blockLines(text.join("\n"), header);
    const runs = [...recent].filter((line) => line !== header && body.includes(line));
    const wholeRound = [...recent].every((line) => line === header || body.includes(line));
    leads.push({
      line: header,
      why: condition.constant
        ? "The loop that was still running: its condition never changes."
        : `${wholeRound ? "The loop that was still running: it" : "A loop that was running at the end; it"} ends only when ${condition.names.map((name) => `“${name}”`).join(" and ")} changes.`,
      weight: wholeRound ? 80 : 45,
    });
    if (wholeRound)
      leads.push({
        line: Math.max(header, ...runs),
        why: "The last line of that loop: the change may be missing after it.",
        weight: 60,
      });
  }
  return leads;
};
