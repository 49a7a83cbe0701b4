import { redirect } from "react-router";
import * as z from "zod";
import { readerOf } from "../../../core/lessons/classTexts.ts";
import { contentFor } from "../../../server/lessons/beginLesson.ts";
import { addLesson, findLesson, moveLesson } from "../../../server/lessons/lessonStore.ts";
import { findCourse } from "../../../server/people/courseStore.ts";
import type { Services } from "../../../server/services.ts";
import { findSheet } from "../../../server/sheets/sheetStore.ts";
import { defineAction, done, refused } from "../../actions.ts";
import { field } from "../../forms.ts";

type ListContext = { services: Services };

const begun = z.object({
  title: field.text(200),
  course: field.text(100),
  sheet: field.text(100),
  reader: field.text(40),
});

/** Begins a lesson, as it is usually held with a sheet. */
export const beginLesson = defineAction<ListContext, z.output<typeof begun>>({
  intent: "begin",
  schema: begun,
  does: async ({ services }, given) => {
    const title = given.title.trim();
    const course = await findCourse(services.database, given.course);
    if (title === "" || !course) return refused("A lesson needs a title and a course.");
    const sheet = given.sheet === "" ? null : await findSheet(services.database, given.sheet);
    if (given.sheet !== "" && !sheet) return refused("There is no such sheet any more. Choose another one.");
    const content = await contentFor(services, sheet?.key ?? null, course.endless_class);
    const { id: reader } = readerOf(given.reader);
    return redirect(`/lessons/${await addLesson(services.database, { course: course.key, title, reader, content })}`);
  },
});

const move = (intent: string, by: 1 | -1) =>
  defineAction<ListContext, { lesson: string }>({
    intent,
    schema: z.object({ lesson: field.text(100) }),
    does: async ({ services: { database } }, { lesson }) => {
      const found = await findLesson(database, lesson);
      if (!found) return refused("This lesson is not there any more.");
      await moveLesson(database, found, by);
      return done();
    },
  });

/** Puts a lesson before the one that comes before it in its course. */
export const moveUp = move("up", -1);
/** Puts a lesson behind the one that comes after it in its course. */
export const moveDown = move("down", 1);
