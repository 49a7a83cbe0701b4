import * as z from "zod";
import { packRows } from "../../core/formats/packedTable.ts";
import { ownTable } from "../../core/trace/ownTable.ts";
import { runOfText } from "../../server/exercises/runForCheck.ts";
import { languageOf } from "../../server/judge/judge.ts";
import { recordProgram } from "../../server/judge/run.ts";
import { createAttempts } from "../../server/people/attempts.ts";
import { sittingOfRequest } from "../../server/sittings/access.ts";
import { mayTry, noteTried } from "../../server/sittings/mayTry.ts";
import type { Route } from "./+types/record.ts";
import { endedWords } from "./endedWords.ts";
import type { RecordReply } from "./replies.ts";

const recordSchema = z.object({
  exercise: z.string(),
  text: z.string().max(200_000),
  input: z.string().max(100_000),
  /** What is changed before a step of the run that was recorded before. */
  change: z
    .object({
      step: z.number().int().min(0),
      line: z.number().int().min(1),
      put: z.object({ name: z.string().max(200), value: z.string().max(2000) }),
    })
    .optional(),
});
const recordings = createAttempts(20, 60_000);
const running = new Set<string>();

/** Records a run of a student's text, for a dry run of the student's own. */
export async function action({ params, request, context }: Route.ActionArgs): Promise<RecordReply> {
  const { database, toolchains } = context.services;
  const refused = (message: string): RecordReply => ({ ok: false, message });
  const { open } = await sittingOfRequest(context.services, request, params.code);
  if (!open) return refused("You are not signed in any more. Open the sheet again.");
  const given = recordSchema.safeParse(await request.json().catch(() => null));
  if (!given.success) return refused("The program or its input is too long to be recorded here.");
  const { text, input, change } = given.data;
  const may = await mayTry(database, open, given.data.exercise);
  if ("refused" in may) return refused(may.refused);
  const { key } = open.sitting;
  if (running.has(key)) return refused("Your last run is still being recorded.");
  if (!recordings.allowed(key))
    return refused("That was a lot in a short time. Wait a minute and go on with what you have.");
  running.add(key);
  try {
    await noteTried(database, key, may.exercise.key);
    const { content } = may.exercise;
    const run = runOfText(content, text, { input, files: content.checks[0]?.files });
    const recorded = await recordProgram(toolchains, { ...run, ...(change ? { change } : {}) });
    if ("notRun" in recorded) return refused(recorded.notRun);
    const { trace } = recorded;
    if (trace.notChanged !== undefined) return refused(trace.notChanged);
    const table = ownTable(languageOf(content), text, trace, endedWords[trace.outcome.stoppedBy]);
    return { ok: true, columns: table.columns, packed: packRows(table), ended: table.ended };
  } finally {
    running.delete(key);
  }
}
