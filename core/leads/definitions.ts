import type { Lead, LeadRule } from "./lead.ts";

/**
 * For a stop while running: where the names of the failing line got their values, by the recorded run if there is one,
 * else by reading upwards.
 */
export const definitions: LeadRule = ({ verdict, language, codeLines, trace }) => {
  if (verdict.class !== "runtime" || verdict.reportedLine === null) return [];
  const failing = verdict.reportedLine;
  const names = language.usedNames(codeLines.get(failing) ?? []);
  const leads: Lead[] = [];
  for (const name of names) {
    const written = trace?.steps.findLast(
      (step) =>
        step.file === 0 &&
        step.line !== failing &&
        step.writes.some((write) => write.path[0] === name && write.scope !== "object"),
    );
    const line =
      written?.line ??
      [...codeLines.entries()]
        .filter(([at, tokens]) => at !== failing && language.assignedNames(tokens).includes(name))
        .sort(
          ([one], [other]) => (one < failing ? failing - one : one) - (other < failing ? failing - other : other),
        )[0]?.[0];
    if (line !== undefined)
      leads.push({
        line,
        why: `“${name}”, used in the failing line, ${written ? "last got its value" : "gets its value"} here.`,
        weight: 60,
      });
  }
  return leads;
};
