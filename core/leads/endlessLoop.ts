import type { Lead, LeadRule } from "./leads.ts";

/** For a run that does not end: the header of the loop it was in, and the last line of the loop's body, where a change is often missing. */
export const endlessLoop: LeadRule = ({ verdict, trace, codeLines, language }) => {
  if (verdict.symptom !== "does not end" || !trace) return [];
  const recent = new Set(
    trace.steps
      .slice(-2000)
      .filter((step) => step.file === 0)
      .map((step) => step.line),
  );
  const leads: Lead[] = [];
  for (const line of recent) {
    const condition = language.loopCondition(codeLines.get(line) ?? []);
    if (!condition) continue;
    leads.push({
      line,
      why: condition.constant
        ? "The loop that was still running: its condition never changes."
        : `The loop that was still running: it ends only when ${condition.names.map((name) => `“${name}”`).join(" and ")} changes.`,
      weight: 80,
    });
    leads.push({ line: Math.max(...recent), why: "The last line of that loop: the change may be missing after it.", weight: 60 });
  }
  return leads;
};
