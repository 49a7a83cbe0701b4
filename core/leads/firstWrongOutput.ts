import { outputLine } from "../verdict/runEvidence.ts";
import type { Lead, LeadRule } from "./lead.ts";

/** How many steps back along the values are followed. */
const reach = 3;

/**
 * For a wrong result: the line that printed the first wrong output, where its names got their values, and the decisions
 * in between.
 */
export const firstWrongOutput: LeadRule = ({ verdict, outcome, trace, language, codeLines }) => {
  if (verdict.class !== "logic" || !outcome || !verdict.comparison || verdict.comparison.same) return [];
  const printed = outputLine(outcome, verdict.comparison);
  if (printed === undefined) return [];
  const leads: Lead[] = [{ line: printed, why: "This line printed the first output that differs.", weight: 60 }];
  const until = trace?.steps.findIndex((step) => step.line === printed && step.out !== undefined) ?? -1;
  const before = trace ? trace.steps.slice(0, until < 0 ? undefined : until) : [];
  // Back along the values: what was printed got its value somewhere, from names that got theirs somewhere.
  let frontier = [{ line: printed, end: before.length }];
  const seen = new Set<number>([printed]);
  for (let depth = 0; depth < reach; depth++) {
    const next: typeof frontier = [];
    for (const { line, end } of frontier) {
      for (const name of language.usedNames(codeLines.get(line) ?? [])) {
        const at = before
          .slice(0, end)
          .findLastIndex(
            (step) =>
              step.file === 0 && step.writes.some((write) => write.path[0] === name && write.scope !== "object"),
          );
        const written = before[at];
        if (!written || seen.has(written.line)) continue;
        seen.add(written.line);
        leads.push({
          line: written.line,
          why:
            depth === 0
              ? `“${name}”, which is printed there, last got its value here.`
              : `“${name}”, used in line ${line}, last got its value here.`,
          weight: 70 - depth * 3,
        });
        next.push({ line: written.line, end: at });
      }
    }
    frontier = next;
  }
  // Decisions that were taken on the way: a wrong comparison sends the run the wrong way without a trace of its own.
  const ran = new Set(before.map((step) => step.line));
  for (const [line, tokens] of codeLines) {
    if (
      tokens.slice(0, 3).some((token) => token.kind === "keyword" && language.decisionWords.has(token.text)) &&
      ran.has(line)
    )
      leads.push({ line, why: "A decision taken on the way to the wrong output.", weight: 65 });
  }
  return leads;
};
