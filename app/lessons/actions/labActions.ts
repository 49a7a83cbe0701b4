import type { Part } from "../../../core/lessons/lesson.ts";
import { oneSignApart } from "../../../core/lessons/oneSign.ts";
import { type LabChange, labSchema } from "../../../core/lessons/parts/labPart.ts";
import { findExercise } from "../../../server/exercises/exerciseStore.ts";
import { proposeLab, tryChange } from "../../../server/lessons/lab.ts";
import { field } from "../../forms.ts";
import { defineLessonAction, type LessonContext, withPart } from "./lessonAction.ts";

/** The most changes of one program. */
const mostChanges = 20;
const atOnce = 5;

/** The part's exercise and changes, changed; words where it is no lab or its exercise is gone. */
async function withLab(
  { services, lesson }: LessonContext,
  part: Part,
  change: (
    exercise: NonNullable<Awaited<ReturnType<typeof findExercise>>>,
    changes: LabChange[],
  ) => Promise<LabChange[] | string>,
): Promise<Part | string> {
  const lab = labSchema.safeParse(part.content);
  const exercise = lab.success ? await findExercise(services.database, lab.data.exercise) : null;
  if (!lab.success || exercise === null || lesson.content.parts.length === 0)
    return "The exercise of this part is not there any more.";
  const changes = await change(exercise, lab.data.changes);
  return typeof changes === "string" ? changes : { ...part, content: { ...lab.data, changes } };
}

/** Looks for changes of one sign and runs them; those that are there stay. */
export const propose = defineLessonAction({
  intent: "propose",
  fields: { part: field.text(40) },
  changes: (context, { part: key }) =>
    withPart(context, key, (part) =>
      withLab(context, part, async ({ content }, changes) => {
        const room = Math.min(atOnce + changes.length, mostChanges);
        const found = await proposeLab(context.services, content, room, context.lesson.endless_class);
        const more = found
          .filter(({ text }) => changes.every((each) => each.text !== text))
          .slice(0, room - changes.length);
        return more.length > 0 ? [...changes, ...more] : "No other change of one sign that fails was found in it.";
      }),
    ),
});

/** Runs a change of the teacher's own and keeps what came of it. */
export const addChange = defineLessonAction({
  intent: "change",
  fields: { part: field.text(40), text: field.text(200_000) },
  changes: (context, { part: key, text }) =>
    withPart(context, key, (part) =>
      withLab(context, part, async ({ content }, changes) => {
        const right = content.mended ?? "";
        // A form's text has LF; a last line end that an editor leaves away is no change.
        const asKept = right.includes("\r\n") ? text.replaceAll("\n", "\r\n") : text;
        if (!oneSignApart(right, asKept))
          return "Change exactly one sign of the program that is right: one more, one less, or another one.";
        if (changes.some((each) => each.text === asKept)) return "This change is there already.";
        if (changes.length >= mostChanges) return `There are ${mostChanges} changes already.`;
        const came = await tryChange(context.services, content, asKept, context.lesson.endless_class);
        return typeof came === "string" ? came : [...changes, { text: asKept, came }];
      }),
    ),
});

/** Takes a change away. */
export const dropChange = defineLessonAction({
  intent: "drop",
  fields: { part: field.text(40), number: field.whole(0, mostChanges) },
  changes: (context, { part: key, number }) =>
    withPart(context, key, (part) =>
      withLab(context, part, async (_, changes) => changes.filter((_change, at) => at !== number)),
    ),
});
