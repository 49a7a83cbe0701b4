import { z } from "zod";
import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import { type Drawing, pictureAt } from "../../core/outcome/drawing.ts";
import { pictureSvg } from "../../core/outcome/pictureSvg.ts";
import { signatureOf } from "../../core/reading/signature.ts";
import { runForCheck } from "../../server/exercises/runForCheck.ts";
import { languageOf } from "../../server/judge/judge.ts";
import { createAttempts } from "../../server/people/attempts.ts";
import { sittingOfRequest, standingOf, triedNote } from "../../server/sittings/access.ts";
import { listAnswers, saveAnswer } from "../../server/sittings/sittingStore.ts";
import { addTry } from "../../server/sittings/tryStore.ts";
import { shortConsole } from "../components/shortConsole.ts";
import type { Route } from "./+types/try.ts";
import type { TryReply } from "./replies.ts";

const trySchema = z.object({ exercise: z.string(), text: z.string().max(200_000), input: z.string().max(100_000) });
const tries = createAttempts(40, 60_000);
const running = new Set<string>();

/** The last picture as an address that needs no further request. */
const pictureAddress = (drawing: Drawing) =>
  `data:image/svg+xml;charset=utf-8,${encodeURIComponent(pictureSvg(pictureAt(drawing, drawing.last)))}`;

export async function action({ params, request, context }: Route.ActionArgs): Promise<TryReply> {
  const refused = (message: string): TryReply => ({ ok: false, message });
  const { open } = await sittingOfRequest(context.services, request, params.code);
  if (!open) return refused("You are not signed in any more. Open the sheet again.");
  const standing = standingOf(open, Date.now());
  if (!standing.open) return refused("The sheet is handed in or closed, so programs are not run any more.");
  if (standing.paused) return refused("Your teacher has paused the sheet. Programs are run again when it goes on.");
  const given = trySchema.safeParse(await request.json().catch(() => null));
  if (!given.success) return refused("The program or its input is too long to be run here.");
  const exercise = open.edition.content.exercises.find((each) => each.key === given.data.exercise);
  if (!exercise) return refused("There is no such exercise on this sheet.");
  const { key } = open.sitting;
  const answers = new Set((await listAnswers(context.services.database, key)).map((answer) => answer.task));
  const before = exercise.content.tasks.find((task) => kindOfTask(task).answeredBeforeTrying && !answers.has(task.key));
  if (before)
    return refused(
      "First write down what you expect (output and trace table), or press “I give this up” there. After the first try those answers stay as they are.",
    );
  if (running.has(key)) return refused("Your last try is still running.");
  if (!tries.allowed(key))
    return refused("That was many tries in a short time. Wait a minute and think it through on paper.");
  running.add(key);
  try {
    await saveAnswer(context.services.database, key, triedNote(exercise.key), 1, true);
    const result = await runForCheck(context.services, exercise.content, given.data.text, {
      input: given.data.input,
      expected: null,
      ignorePrompts: false,
      files: exercise.content.checks[0]?.files,
    });
    if ("notRun" in result) return refused(`This was not run: ${result.notRun} Your text is saved all the same.`);
    const { outcome } = result;
    const words = {
      none: "It ended by itself.",
      fault: "It was stopped by an error.",
      refused: "It was refused before any line ran.",
      time: "It was stopped at the time limit.",
      memory: "It was stopped: it used too much memory.",
      output: "It was stopped: it printed too much.",
      steps: "It was stopped.",
      person: "You stopped it.",
      "not taken": "It did not get its turn.",
      broken: "The run broke off.",
    } as const;
    const shown = { console: shortConsole(outcome.console), ended: words[outcome.stoppedBy] };
    const primary = outcome.diagnostics.find((diagnostic) => diagnostic.primary);
    const error = primary
      ? signatureOf(languageOf(exercise.content), primary)
      : outcome.stoppedBy === "none"
        ? ""
        : shown.ended;
    await addTry(context.services.database, key, { ...given.data, ...shown, error });
    return {
      ok: true,
      ...shown,
      inputRanOut: outcome.inputRanOut,
      ...(outcome.forms ? { forms: outcome.forms } : {}),
      ...(outcome.drawing ? { picture: pictureAddress(outcome.drawing) } : {}),
    };
  } finally {
    running.delete(key);
  }
}
