import * as z from "zod";
import type { ExerciseContent } from "../../core/exercises/exercise.ts";
import { type Drawing, pictureAt } from "../../core/outcome/drawing.ts";
import type { Diagnostic, Outcome } from "../../core/outcome/outcome.ts";
import { pictureSvg } from "../../core/outcome/pictureSvg.ts";
import { signatureOf } from "../../core/reading/signature.ts";
import { runForCheck } from "../../server/exercises/runForCheck.ts";
import { languageOf } from "../../server/judge/judge.ts";
import { createAttempts } from "../../server/people/attempts.ts";
import { sittingOfRequest } from "../../server/sittings/access.ts";
import { mayTry, noteTried } from "../../server/sittings/mayTry.ts";
import { addTry } from "../../server/sittings/tryStore.ts";
import { shortConsole } from "../components/shortConsole.ts";
import type { Route } from "./+types/try.ts";
import { endedWords } from "./endedWords.ts";
import { ranHere } from "./ranHere.ts";
import type { TryReply } from "./replies.ts";

const trySchema = z.object({
  exercise: z.string(),
  text: z.string().max(200_000),
  input: z.string().max(100_000),
  /** In the student's own browser: "begins" before it runs there, then what came of it. Without it the server runs. */
  here: z.union([z.literal("begins"), ranHere]).optional(),
});
const tries = createAttempts(40, 60_000);
/** Requests about runs elsewhere: they cost little. */
const reports = createAttempts(240, 60_000);
const running = new Set<string>();

/** The last picture as an address that needs no further request. */
const pictureAddress = (drawing: Drawing) =>
  `data:image/svg+xml;charset=utf-8,${encodeURIComponent(pictureSvg(pictureAt(drawing, drawing.last)))}`;

/** What is the same in every program that fails so; "" for one that ended by itself. */
function errorOf(
  content: Pick<ExerciseContent, "language">,
  diagnostics: readonly Diagnostic[],
  stoppedBy: Outcome["stoppedBy"],
): string {
  const primary = diagnostics.find((diagnostic) => diagnostic.primary);
  if (primary) return signatureOf(languageOf(content), primary);
  return stoppedBy === "none" ? "" : endedWords[stoppedBy];
}

export async function action({ params, request, context }: Route.ActionArgs): Promise<TryReply> {
  const { database } = context.services;
  const refused = (message: string): TryReply => ({ ok: false, message });
  const { open } = await sittingOfRequest(context.services, request, params.code);
  if (!open) return refused("You are not signed in any more. Open the sheet again.");
  const given = trySchema.safeParse(await request.json().catch(() => null));
  if (!given.success) return refused("The program or its input is too long to be run here.");
  const { text, input, here } = given.data;
  const may = await mayTry(database, open, given.data.exercise);
  if ("refused" in may) return refused(may.refused);
  const { key: exercise, content } = may.exercise;
  const { key } = open.sitting;
  const many = "That was many tries in a short time. Wait a minute and think it through on paper.";

  if (here !== undefined) {
    if (!reports.allowed(key)) return refused(many);
    await noteTried(database, key, exercise);
    if (here === "begins") return { ok: true, here: true };
    const language = languageOf(content);
    const read = language.readMessages(here.messages, { [content.fileName]: text });
    const error = errorOf(content, read, here.stoppedBy);
    const ended = `${endedWords[here.stoppedBy]} (It ran in the student’s browser.)`;
    await addTry(database, key, { exercise, text, input, console: shortConsole(here.console.pieces), ended, error });
    return { ok: true, here: true };
  }

  if (running.has(key)) return refused("Your last try is still running.");
  if (!tries.allowed(key)) return refused(many);
  running.add(key);
  try {
    await noteTried(database, key, exercise);
    const files = content.checks[0]?.files;
    const result = await runForCheck(context.services, content, text, {
      ...{ input, expected: null, ignorePrompts: false, files },
    });
    if ("notRun" in result) return refused(`This was not run: ${result.notRun} Your text is saved all the same.`);
    const { outcome } = result;
    const shown = { console: shortConsole(outcome.console), ended: endedWords[outcome.stoppedBy] };
    const error = errorOf(content, outcome.diagnostics, outcome.stoppedBy);
    await addTry(database, key, { exercise, text, input, ...shown, error });
    return {
      ok: true,
      here: false,
      ...shown,
      inputRanOut: outcome.inputRanOut,
      ...(outcome.forms ? { forms: outcome.forms } : {}),
      ...(outcome.drawing ? { picture: pictureAddress(outcome.drawing) } : {}),
    };
  } finally {
    running.delete(key);
  }
}
