import { z } from "zod";
import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import { sittingOfRequest, triedNote } from "../../server/sittings/access.ts";
import { listAnswers, saveAnswer } from "../../server/sittings/sittingStore.ts";
import type { Route } from "./+types/save.ts";
import type { SaveReply } from "./replies.ts";

const saveSchema = z.object({ task: z.string(), revision: z.number().int().min(1), content: z.unknown() });

export async function action({ params, request, context }: Route.ActionArgs): Promise<SaveReply> {
  const { open } = await sittingOfRequest(context.services, request, params.code);
  const refused = (message: string): SaveReply => ({ result: "refused", message });
  if (!open)
    return refused("You are not signed in any more. Open the sheet again; what you typed is kept on this page.");
  if (open.sheet.state === "closed")
    return refused("The sheet was closed. What was saved before that counts; what you type now is not handed in.");
  const given = saveSchema.safeParse(await request.json().catch(() => null));
  if (!given.success) return refused("This could not be read.");
  const exercise = open.edition.content.exercises.find((each) =>
    each.content.tasks.some((task) => task.key === given.data.task),
  );
  const task = exercise?.content.tasks.find((each) => each.key === given.data.task);
  if (!exercise || !task) return refused("There is no such task on this sheet.");
  const content = kindOfTask(task).parseAnswer(given.data.content);
  if (content === null) return refused("This answer is too long or of another form than the task asks for.");
  const answers = await listAnswers(context.services.database, open.sitting.key);
  if (kindOfTask(task).answeredBeforeTrying) {
    if (answers.some((answer) => answer.task === triedNote(exercise.key)))
      return refused("The program has been tried, so this answer stays as it was.");
  }
  const before = answers.find((answer) => answer.task === task.key)?.content;
  const kept = kindOfTask(task).keep(task, exercise.content, before ?? null, content);
  const result = await saveAnswer(context.services.database, open.sitting.key, task.key, given.data.revision, kept);
  if (result === "saved") return { result, message: "" };
  if (result === "older")
    return { result, message: "A newer answer was saved from another window. Load the page again to see it." };
  return refused("The sheet was handed in already.");
}
