import type { z } from "zod";
import type { LessonContent, Part } from "../../../core/lessons/lesson.ts";
import { type Lesson, saveLesson } from "../../../server/lessons/lessonStore.ts";
import type { Services } from "../../../server/services.ts";
import { defineRevisedAction, done, type PageAction, refused } from "../../actions.ts";

/** What an action of a lesson's page works on; `form` is the whole form, for fields that a kind of part has. */
export type LessonContext = { services: Services; lesson: Lesson; form: FormData };

/** What a change leaves, or words why nothing is changed. */
type Changed = { title?: string; reader?: string; parts?: LessonContent["parts"]; said?: string } | string;

const stale =
  "This lesson was changed in another window meanwhile; nothing was overwritten. Look at the newer state and try again.";

/** An action that changes a lesson; its form names the revision that the page had read. */
export function defineLessonAction<Fields extends z.ZodRawShape>(action: {
  intent: string;
  fields: Fields;
  changes: (context: LessonContext, fields: z.output<z.ZodObject<Fields>>) => Promise<Changed> | Changed;
}): PageAction<LessonContext> {
  return defineRevisedAction<LessonContext, Fields>({
    intent: action.intent,
    fields: action.fields,
    does: async (context, revision, fields) => {
      const { lesson, services } = context;
      if (lesson.revision !== revision) return refused({ ok: false, stale: true, message: stale });
      const changed = await action.changes(context, fields);
      if (typeof changed === "string") return refused(changed);
      const { said = "Kept.", title = lesson.title, reader = lesson.reader, parts = lesson.content.parts } = changed;
      const kept = await saveLesson(services.database, lesson.key, revision, { title, reader, content: { parts } });
      return kept ? done(said) : refused({ ok: false, stale: true, message: stale });
    },
  });
}

export const goneParts = "This part is not there any more. Nothing was changed.";

/** The parts with one changed; words where it is not there, or the change is refused. */
export async function withPart(
  { lesson }: LessonContext,
  key: string,
  change: (part: Part) => Promise<Part | string> | Part | string,
): Promise<Changed> {
  const part = lesson.content.parts.find((each) => each.key === key);
  if (!part) return goneParts;
  const changed = await change(part);
  if (typeof changed === "string") return changed;
  return { parts: lesson.content.parts.map((each) => (each.key === key ? changed : each)) };
}
