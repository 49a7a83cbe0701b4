import type { z } from "zod";
import { z as zod } from "zod";
import type { ExerciseContent, Task } from "../../../core/exercises/exercise.ts";
import { type Exercise, saveExercise } from "../../../server/exercises/exerciseStore.ts";
import type { Services } from "../../../server/services.ts";
import { defineAction, done, type PageAction, refused, type Said } from "../../actions.ts";
import { field } from "../../forms.ts";

/** What an action of an exercise's page works on. */
export type ExerciseContext = { services: Services; exercise: Exercise };

/** What a change leaves: the new title and content, or words why nothing is changed. */
type Changed = { title?: string; content?: ExerciseContent } | string;

const stale =
  "This exercise was changed in another window meanwhile; nothing was overwritten. Look at the newer state and try again.";

async function save({ services, exercise }: ExerciseContext, revision: number, changed: Changed): Promise<Said> {
  if (typeof changed === "string") return refused(changed);
  const { title = exercise.title, content = exercise.content } = changed;
  const saved = await saveExercise(services.database, exercise.key, revision, title, content);
  return saved ? done("Kept.") : refused({ ok: false, stale: true, message: stale });
}

/** An action that changes an exercise; its form names the revision that the page had read. */
export function defineExerciseAction<Fields extends z.ZodRawShape>(action: {
  intent: string;
  fields: Fields;
  changes: (context: ExerciseContext, fields: z.output<z.ZodObject<Fields>>) => Promise<Changed>;
}): PageAction<ExerciseContext> {
  const revision = zod.object({ revision: field.revision() });
  return defineAction({
    intent: action.intent,
    schema: zod.intersection(revision, zod.object(action.fields)),
    does: async (context, given) =>
      save(context, given.revision, await action.changes(context, given as z.output<z.ZodObject<Fields>>)),
  });
}

/** The content with one task replaced, or taken out where `change` gives null. Words if there is no such task. */
export async function withTask(
  content: ExerciseContent,
  key: string,
  change: (task: Task) => Promise<Task | null | string>,
): Promise<Changed> {
  const task = content.tasks.find((each) => each.key === key);
  if (!task) return "This task is not there any more. Nothing was changed.";
  const changed = await change(task);
  if (typeof changed === "string") return changed;
  const tasks = content.tasks.flatMap((each) => (each.key !== key ? [each] : changed ? [changed] : []));
  return { content: { ...content, tasks } };
}
