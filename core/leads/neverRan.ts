import { runnableLines } from "../languages/runnable.ts";
import type { Lead, LeadContext, LeadRule } from "./lead.ts";

/** Headers whose blocks are looked at. */
const mostHeaders = 200;
/** Stretches that are named. */
const most = 4;

/** Where a whole run shows no fault: lines that it never came to, by stretches. A fault in them is not seen yet. */
export const neverRan: LeadRule = (context) => {
  const { verdict, trace, language, text } = context;
  if (verdict.class !== null || !trace?.outcome.finished || trace.cut) return [];
  const ran = new Set(trace.steps.filter((step) => step.file === 0).map((step) => step.line));
  if (ran.size === 0) return [];
  const runnable = runnableLines(language, text.join("\n"));
  const inside = linesInside(context, ran);
  const leads: Lead[] = [];
  let before = false;
  let from = 0;
  for (const line of [...runnable, Number.POSITIVE_INFINITY]) {
    // What only declares is recorded by no language's recorder; a line counts if the lines around it were recorded.
    const idle = line !== Number.POSITIVE_INFINITY && !ran.has(line) && inside.has(line);
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

/** Lines of the blocks whose headers ran: they might have run, too. */
function linesInside({ language, codeLines, text }: LeadContext, ran: ReadonlySet<number>): ReadonlySet<number> {
  const program = text.join("\n");
  const heads = (line: number) =>
    (codeLines.get(line) ?? []).some(
      (token) =>
        language.decisionWords.has(token.text.toLowerCase()) || language.loopWords.has(token.text.toLowerCase()),
    );
  const headers = [...ran].filter(heads).sort((one, other) => one - other);
  return new Set(
    headers
      .slice(0, mostHeaders)
      .flatMap((header) => language.blockLines(program, header).filter((line) => line > header)),
  );
}
