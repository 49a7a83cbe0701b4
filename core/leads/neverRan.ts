import { runnableLines } from "../languages/runnable.ts";
import type { Lead, LeadRule } from "./lead.ts";

/** Stretches that are named. */
const most = 4;

/** Where a whole run shows no fault: lines that it never came to, by stretches. A fault in them is not seen yet. */
export const neverRan: LeadRule = ({ verdict, trace, language, text }) => {
  if (verdict.class !== null || !trace?.outcome.finished || trace.cut) return [];
  const ran = new Set(trace.steps.filter((step) => step.file === 0).map((step) => step.line));
  if (ran.size === 0) return [];
  const runnable = runnableLines(language, text.join("\n"));
  const leads: Lead[] = [];
  let before = false;
  let from = 0;
  for (const line of [...runnable, Number.POSITIVE_INFINITY]) {
    // What only declares is recorded by no language's recorder; a line counts if the lines around it were recorded.
    const idle = line !== Number.POSITIVE_INFINITY && !ran.has(line) && insideRun(line, ran, language, text);
    if (idle && !before) from = line;
    if (!idle && before) {
      const last = runnable.filter((each) => each >= from && each < line && !ran.has(each)).at(-1) ?? from;
      const words = last === from ? "This line" : `Lines ${from} to ${last}`;
      leads.push({ line: from, why: `${words} never ran in this run, so nothing is known of it yet.`, weight: 30 });
    }
    before = idle;
  }
  return leads.slice(0, most);
};

/** True for a line of a block whose header ran: it might have run, too. */
function insideRun(
  line: number,
  ran: ReadonlySet<number>,
  language: Parameters<LeadRule>[0]["language"],
  text: readonly string[],
): boolean {
  const program = text.join("\n");
  return [...ran].some((header) => header < line && language.blockLines(program, header).includes(line));
}
