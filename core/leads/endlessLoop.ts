import type { Lead, LeadRule } from "./lead.ts";

/** Steps at the end of a recording that are looked at. */
const recentSteps = 2000;

/**
 * For a run that does not end: the lines that change what its loop waits for, the header of the loop it was in, and the last
 * line of that loop's body, where a change is often missing. That loop is the innermost whose body holds all lines of the
 * recording's end: a smaller one in it began and ended over and over.
 */
export const endlessLoop: LeadRule = ({ verdict, trace, codeLines, language, text }) => {
  if (!["does not end", "has not ended", "not decided"].includes(verdict.symptom) || !trace) return [];
  if (!trace.cut && trace.outcome.finished) return [];
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
    if (!wholeRound) continue;
    const changes = body.flatMap((line) => {
      const names = language.assignedNames(codeLines.get(line) ?? []).filter((name) => condition.names.includes(name));
      return names.length > 0 ? [{ line, name: names[0] ?? "" }] : [];
    });
    for (const { line, name } of changes)
      leads.push({
        line,
        why: `This line changes “${name}”, which the loop at line ${header} waits for, and the loop does not come to its end by it.`,
        weight: runs.includes(line) ? 86 : 84,
      });
    // Names of the condition that no line of the loop changes: the change is missing, or another name gets the value.
    if (changes.length === 0 && !condition.constant) {
      for (const line of body) {
        const tokens = codeLines.get(line) ?? [];
        const given = language.assignedNames(tokens);
        if (given.length === 0 || !language.usedNames(tokens).some((name) => condition.names.includes(name))) continue;
        // What nothing else reads was meant for the name that the loop waits for.
        const isRead = [...codeLines].some(
          ([other, code]) =>
            other !== line && code.some((token) => token.kind === "name" && given.includes(token.text)),
        );
        leads.push({
          line,
          why: "This line uses what the loop waits for and gives its result to another name.",
          weight: isRead ? 84 : 98,
        });
      }
    }
    const after = Math.max(header, ...runs);
    leads.push({
      line: after,
      why: "The last line of that loop: the change may be missing after it.",
      weight: changes.length === 0 ? 70 : 50,
    });
    // A change that stands right behind the loop may belong into it.
    const next = [...codeLines.keys()]
      .filter((line) => line > Math.max(header, ...body))
      .sort((one, other) => one - other)[0];
    const outside = next === undefined ? [] : language.assignedNames(codeLines.get(next) ?? []);
    if (next !== undefined && outside.some((name) => condition.names.includes(name)))
      leads.push({ line: next, why: "This change stands behind the loop that waits for it.", weight: 82 });
  }
  return leads;
};
