import { testExercise } from "../../core/exercises/testExercise.ts";
import type { Database } from "../database/database.ts";
import { addCourse, addStudents, listStudents, type Student } from "../people/courseStore.ts";
import { addSheet, setSheet } from "../sheets/sheetStore.ts";

/** A course with a sheet that is set, for tests: an exercise of which a line is pointed at and the program mended. */
export async function sheetToSit(
  database: Database,
  labels: readonly string[] = ["S-01", "S-02", "S-03"],
): Promise<{ course: string; sheet: string; edition: string; students: Student[] }> {
  const course = await addCourse(database, "Kittiwake Crossing", "python");
  await addStudents(database, course, labels);
  const sheet = await addSheet(database, course, "Deck loads");
  const content = testExercise({
    tasks: [
      { key: "point", kind: "point", marks: 1 },
      { key: "mend", kind: "mend", marks: 2, allowedExtraLines: 1, extraCost: 0 },
    ],
  });
  const edition = await setSheet(database, sheet, {
    title: "Deck loads",
    exercises: [{ key: "e", title: "Deck", level: 1, content }],
  });
  return { course, sheet, edition, students: await listStudents(database, course) };
}
