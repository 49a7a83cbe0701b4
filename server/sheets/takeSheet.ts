import type { SheetToWrite } from "../../core/formats/sheetContent.ts";
import { usualRules } from "../../core/sittings/sittingRules.ts";
import type { Database } from "../database/database.ts";
import { addExercise } from "../exercises/exerciseStore.ts";
import { addSheet, placeExercise, setRules, setSection } from "./sheetStore.ts";

/** Takes in a sheet from a file, as a draft of a course with exercises of its own, which come of no case here. Gives its key. */
export async function takeSheet(database: Database, course: string, sheet: SheetToWrite): Promise<string> {
  const key = await addSheet(database, course, sheet.title);
  for (const { title, section, content } of sheet.exercises) {
    const exercise = await addExercise(database, null, title || "Exercise", content);
    await placeExercise(database, key, exercise);
    if (section !== "") await setSection(database, key, exercise, section.slice(0, 80));
  }
  if (sheet.minutes !== null) await setRules(database, key, { ...usualRules, minutes: sheet.minutes });
  return key;
}
