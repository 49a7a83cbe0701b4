import { outputLine } from "../verdict/verdict.ts";
import type { Lead, LeadRule } from "./leads.ts";

/** For a wrong result: the line that printed the first wrong output, where its names got their values, and the decisions in between. */
export const firstWrongOutput: LeadRule = ({ verdict, outcome, trace, language, codeLines }) => {
  if (verdict.class !== "logic" || !outcome || !verdict.comparison || verdict.comparison.same) return [];
  const printed = outputLine(outcome, verdict.comparison);
  if (printed === undefined) return [];
  const leads: Lead[] = [{ line: printed, why: "This line printed the first output that differs.", weight: 60 }];
  const names = new Set(language.usedNames(codeLines.get(printed) ?? []).filter((name) => !language.ownWords.has(name)));
  const until = trace?.steps.findIndex((step) => step.line === printed && step.out !== undefined) ?? -1;
  const before = trace ? trace.steps.slice(0, until < 0 ? undefined : until) : [];
  for (const name of names) {
    const written = before.findLast((step) => step.file === 0 && step.writes.some((write) => write.path[0] === name && write.scope !== "object"));
    if (written) leads.push({ line: written.line, why: `“${name}”, which is printed there, last got its value here.`, weight: 70 });
  }
  // Decisions that were taken on the way: a wrong comparison sends the run the wrong way without a trace of its own.
  const ran = new Set(before.map((step) => step.line));
  for (const [line, tokens] of codeLines) {
    const first = tokens[0]?.text;
    if ((first === "if" || first === "elif" || first === "while") && ran.has(line))
      leads.push({ line, why: "A decision taken on the way to the wrong output.", weight: 65 });
  }
  return leads;
};
