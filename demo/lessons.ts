import type { LessonContent, Part } from "../core/lessons/lesson.ts";
import { newKey } from "../server/keys.ts";
import { contentFor } from "../server/lessons/beginLesson.ts";
import { addLesson, openLesson } from "../server/lessons/lessonStore.ts";
import { setOwnWords } from "../server/lessons/ownWordsStore.ts";
import { listCourses } from "../server/people/courseStore.ts";
import type { Services } from "../server/services.ts";
import { listSheets } from "../server/sheets/sheetStore.ts";

const reading = `A message of an interpreter has three parts: where it was noticed, what is wrong there, and a name for that.

    File "fares.py", line 4
    print(fare
         ^
    SyntaxError: '(' was never closed

The place is where it was noticed. What is missing may be missing earlier, and in a long program much earlier.

? Copy the last message that you met, and mark its three parts.

? Which of the three would you look at first, and why?`;

const story =
  "When the first Kittiwake was built, her bell hung behind the funnel, where nobody heard it in a west wind. The log of that summer says “bell faulty” eleven times. The bell was never faulty: what was wrong was where it had been put.";

const words: Readonly<Record<string, string>> = {
  noticed: "A wrong turning at the lighthouse is noticed only at the harbour. The harbour is not where it went wrong.",
  meant: "The ferry goes where it is steered, not where the skipper wished to go.",
  joining: "“Half fare for children and for residents” means: children or residents. Say it aloud with “who are both”.",
};

/** Two lessons of the first course: one with everything, which students may read, and one that is to be written. */
export async function loadLessons(services: Services): Promise<void> {
  const { database } = services;
  const course = (await listCourses(database)).find(({ name }) => name === "Kittiwake Crossing, group 1");
  const sheet = (await listSheets(database)).find(
    ({ title, course: of }) => of === course?.key && title === "Debugging 1: errors on the ferry",
  );
  if (!course || !sheet) return;
  for (const [idea, own] of Object.entries(words)) await setOwnWords(database, course.key, idea, own);
  const usual = await contentFor(services, sheet.key, course.endless_class);
  const part = (kind: string, title: string, content: unknown): Part => ({
    ...{ key: newKey(8), kind, title, out: false, minutes: null },
    content,
  });
  const [first, ...rest] = usual.parts;
  const content: LessonContent = {
    parts: [
      ...(first ? [first] : []),
      part("reading", "The three parts of a message", { text: reading }),
      ...rest,
      part("story", "The bell of the Kittiwake", { text: story }),
    ],
  };
  const add = (title: string, own: LessonContent) =>
    addLesson(database, { course: course.key, title, reader: "school", content: own });
  await openLesson(database, await add("Three kinds of error", content), "before");
  await add("Tables by hand", { parts: [part("reading", "What a trace table is", { text: "" })] });
}
