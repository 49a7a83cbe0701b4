import type { ExerciseContent } from "../../core/exercises/exercise.ts";
import type { Database } from "../database/database.ts";
import { addExercise, keepReasons } from "../exercises/exerciseStore.ts";
import { addSheet, placeExercise } from "./sheetStore.ts";

/** A sheet with new exercises on it, each checked when it was planned; gives its key. */
export async function sheetOfContents(
  database: Database,
  course: string,
  title: string,
  exercises: ReadonlyArray<{ title: string; content: ExerciseContent }>,
): Promise<string> {
  const sheet = await addSheet(database, course, title);
  for (const { title: own, content } of exercises) {
    const key = await addExercise(database, null, own, content);
    await keepReasons(database, key, 0, []);
    await placeExercise(database, sheet, key);
  }
  return sheet;
}
