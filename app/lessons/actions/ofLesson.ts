import { redirect } from "react-router";
import * as z from "zod";
import { readerOf } from "../../../core/lessons/classTexts.ts";
import { ideas } from "../../../core/lessons/ideas.ts";
import { openings } from "../../../core/lessons/lesson.ts";
import { deleteLesson, openLesson } from "../../../server/lessons/lessonStore.ts";
import { setOwnWords } from "../../../server/lessons/ownWordsStore.ts";
import { defineAction, done, refused } from "../../actions.ts";
import { field } from "../../forms.ts";
import { openingWords } from "../openingWords.ts";
import { addChange, dropChange, propose } from "./labActions.ts";
import { defineLessonAction, type LessonContext } from "./lessonAction.ts";
import { addPart, changePart, leaveOut, partDown, partUp, takeAway } from "./partActions.ts";

/** The title of a lesson, and for whom it is explained. */
const keep = defineLessonAction({
  intent: "keep",
  fields: { title: field.text(200), reader: field.text(40) },
  changes: (_, given) => {
    const title = given.title.trim();
    return title === "" ? "A lesson needs a title." : { title, reader: readerOf(given.reader).id };
  },
});

/** What students may read from now on. */
const open = defineAction<LessonContext, { open: (typeof openings)[number] }>({
  intent: "open",
  schema: z.object({ open: field.one(openings) }),
  does: async ({ services, lesson }, given) => {
    await openLesson(services.database, lesson.key, given.open);
    return done(`It is ${openingWords[given.open]}.`);
  },
});

/** A teacher's own words for ideas, for all lessons of the course. */
const words = defineAction<LessonContext, { idea: string; words: string }>({
  intent: "words",
  schema: z.object({ idea: field.text(40), words: field.text(2000) }),
  does: async ({ services, lesson }, given) => {
    if (!ideas.some(({ id }) => id === given.idea)) return refused("There is no such idea. Nothing was changed.");
    const own = given.words.trim();
    await setOwnWords(services.database, lesson.course, given.idea, own);
    return done(own === "" ? "Your words are taken away." : "Kept, for all lessons of this course.");
  },
});

/** Takes the lesson away for good. */
const remove = defineAction<LessonContext, unknown>({
  intent: "delete",
  schema: z.unknown(),
  does: async ({ services, lesson }) => {
    await deleteLesson(services.database, lesson.key);
    return redirect("/lessons");
  },
});

/** Everything that the page of a lesson can be asked for. */
export const lessonActions = [
  ...[keep, open, words, remove],
  ...[addPart, changePart, leaveOut, partUp, partDown, takeAway],
  ...[propose, addChange, dropChange],
];
