import * as z from "zod";
import { ownNoteName, ownNoteSchema } from "../../core/exercises/ownNote.ts";
import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import type { Database } from "../../server/database/database.ts";
import { type OpenSitting, sittingOfRequest, standingOf, triedNote } from "../../server/sittings/access.ts";
import { keepAnswer, keepLate } from "../../server/sittings/answerStore.ts";
import { listAnswers } from "../../server/sittings/sittingStore.ts";
import type { Route } from "./+types/save.ts";
import type { SaveReply } from "./replies.ts";

const saveSchema = z.object({
  task: z.string().max(200),
  base: z
    .number()
    .int()
    .min(0)
    .max(2 ** 31 - 2),
  writer: z.string().min(1).max(60),
  count: z
    .number()
    .int()
    .min(1)
    .max(2 ** 31 - 2),
  /** When it was typed, by the browser's clock, in milliseconds since 1970. */
  typedAt: z.number().int().min(0).max(8.64e15).optional(),
  content: z.unknown(),
});

const late: SaveReply = {
  result: "late",
  message:
    "This came after the sheet was handed in. It is kept, and your teacher decides whether it counts. Tell them about it.",
};

/** Keeps what a student noted beside an exercise; it earns nothing, so nothing of it comes late. */
async function saveNote(
  database: Database,
  open: OpenSitting,
  key: string,
  { content, base, writer, count }: Omit<z.infer<typeof saveSchema>, "task">,
): Promise<SaveReply> {
  const note = ownNoteSchema.safeParse(content);
  if (!note.success) return { result: "incomplete", message: "Your note is too long to be kept. Shorten it a little." };
  const over: SaveReply = { result: "refused", message: "The sheet is handed in, so notes are not kept any more." };
  if (!standingOf(open, Date.now()).open) return over;
  const kept = await keepAnswer(database, open.sitting.key, key, {
    base,
    writer,
    count,
    content: note.data,
    typedAt: null,
  });
  return kept.result === "handed in" ? over : kept;
}

export async function action({ params, request, context }: Route.ActionArgs): Promise<SaveReply> {
  const { open } = await sittingOfRequest(context.services, request, params.code);
  const refused = (message: string): SaveReply => ({ result: "refused", message });
  if (!open)
    return {
      result: "signed out",
      message: "You are not signed in any more. Open the sheet again; what you typed is kept in this browser.",
    };
  const read = saveSchema.safeParse(await request.json().catch(() => null));
  if (!read.success) return refused("This could not be read.");
  const { task: key, ...given } = read.data;
  const { typedAt, ...sent } = given;
  const { exercises } = open.edition.content;
  if (exercises.some((each) => ownNoteName(each.key) === key))
    return saveNote(context.services.database, open, key, given);
  const exercise = exercises.find((each) => each.content.tasks.some((task) => task.key === key));
  const task = exercise?.content.tasks.find((each) => each.key === key);
  if (!exercise || !task) return refused("There is no such task on this sheet.");
  const content = kindOfTask(task).parseAnswer(given.content);
  const standing = standingOf(open, Date.now());
  if (content === null && standing.handedIn) return refused("One answer was not whole when the sheet was handed in.");
  if (content === null)
    return {
      result: "incomplete",
      message: "Not saved yet: one answer is not whole, or too long. It is kept in this browser until it is.",
    };
  const { database } = context.services;
  const answers = await listAnswers(database, open.sitting.key);
  if (kindOfTask(task).answeredBeforeTrying && answers.some((answer) => answer.task === triedNote(exercise.key)))
    return refused("The program has been tried, so this answer stays as it was.");
  const before = answers.find((answer) => answer.task === task.key)?.content;
  const kept = kindOfTask(task).keep(task, exercise.content, before ?? null, content);
  const typed = typedAt === undefined ? null : new Date(typedAt);
  if (standing.open || standing.handedIn) {
    const result = await keepAnswer(database, open.sitting.key, task.key, { ...sent, content: kept, typedAt: typed });
    if (result.result !== "handed in") return result;
  }
  await keepLate(database, open.sitting.key, task.key, kept, typed);
  return late;
}
