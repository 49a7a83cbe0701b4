import type { Lesson } from "../../server/lessons/lessonStore.ts";

/** What students may read of a lesson, in words. */
export const openingWords: Readonly<Record<Lesson["open"], string>> = {
  closed: "not open for students",
  before: "open for students, without what comes out",
  whole: "open for students, with what came out",
};
