import { deckProgram, testExercise } from "../core/exercises/testExercise.ts";
import { insertAssignment, setHandIn } from "./assignments/assignmentStore.ts";
import { collectCase } from "./cases/caseStore.ts";
import { addExercise } from "./exercises/exerciseStore.ts";
import { addCourse, addStudents, listStudents } from "./people/courseStore.ts";
import type { Services } from "./services.ts";
import { addSheet, findSheet, placeExercise, setSheet } from "./sheets/sheetStore.ts";
import { beginSitting, saveAnswer } from "./sittings/sittingStore.ts";

/**
 * A small course with one of everything that has a page, for tests that walk over all pages: the keys by the names that
 * addresses have for them (`code` is the sheet's; `label` and `personalCode` are the first student's, who sits it).
 */
export async function buildTestWorld(services: Services): Promise<Record<string, string>> {
  const { database } = services;
  const courseKey = await addCourse(database, "Kittiwake Crossing", "python");
  await addStudents(database, courseKey, ["S-01", "S-02"]);
  const students = await listStudents(database, courseKey);
  const [first] = students;
  if (!first) throw new Error("no student");
  const assignmentKey = await insertAssignment(database.query, courseKey, {
    title: "Deck",
    statement: "Add the loads.",
    languages: ["python"],
  });
  await setHandIn(database, assignmentKey, true);
  const collected = {
    ...{ language: "python", course: courseKey, assignment: assignmentKey, student: first.key, title: "Deck loads" },
    ...{ intent: "Adds the loads.", changedLast: "", input: "" },
    symptom: null,
  };
  const files = [{ name: "deck.py", bytes: Buffer.from(deckProgram) }];
  const caseKey = await collectCase(database, { ...collected, files });
  const tasks = [
    { key: "kind", kind: "classify", marks: 2 },
    { key: "mend", kind: "mend", marks: 2, allowedExtraLines: 1, extraCost: 0 },
  ];
  const content = testExercise({ tasks });
  const exerciseKey = await addExercise(database, null, "Deck", content);
  const sheetKey = await addSheet(database, courseKey, "Deck loads");
  await placeExercise(database, sheetKey, exerciseKey);
  const exercises = [{ key: exerciseKey, title: "Deck", level: 1, content }];
  const edition = await setSheet(database, sheetKey, { title: "Deck loads", exercises });
  const sittingKey = await beginSitting(database, edition, first.key, 0);
  await saveAnswer(database, sittingKey, "mend", 1, { text: deckProgram });
  const code = (await findSheet(database, sheetKey))?.code ?? "";
  return {
    ...{ courseKey, studentKey: first.key, assignmentKey, caseKey, exerciseKey, sheetKey, sittingKey, taskKey: "mend" },
    ...{ code, label: first.label, personalCode: first.personal_code },
    ...{ patternId: "limit-off-by-one", languageId: "python", form: "answers", format: "csv", file: "assignment.json" },
    name: "none.zip",
  };
}
