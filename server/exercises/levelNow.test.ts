import { afterAll, beforeAll, expect, test } from "vitest";
import { testExercise } from "../../core/exercises/testExercise.ts";
import { putMark } from "../marks/markStore.ts";
import { addCourse, addStudents, listStudents } from "../people/courseStore.ts";
import { setForStudents } from "../sheets/setSheet.ts";
import { addSheet, findEdition, findSheet, placeExercise } from "../sheets/sheetStore.ts";
import { beginAgain, beginSitting, handIn } from "../sittings/sittingStore.ts";
import { openTestServices } from "../testServices.ts";
import { addExercise } from "./exerciseStore.ts";
import { levelNow, wordsOfResults } from "./levelNow.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

test("an exercise that nobody can do goes up by level, and the next edition says so", async () => {
  const { database } = services;
  const course = await addCourse(database, "Kittiwake Crossing", "python");
  const labels = Array.from({ length: 12 }, (_, at) => `S-${at + 1}`);
  await addStudents(database, course, labels);
  const content = testExercise({ tasks: [{ key: "c", kind: "classify", marks: 2 }] });
  const sheetKey = await addSheet(database, course, "Deck");
  await placeExercise(database, sheetKey, await addExercise(database, null, "Deck load", content));
  const sheet = await findSheet(database, sheetKey);
  if (!sheet) throw new Error("no sheet");
  const set = await setForStudents(services, sheet);
  if (!set.ok) throw new Error(set.message);
  const before = await levelNow(database, content);
  expect(wordsOfResults(before)).toBe("");
  for (const [at, student] of (await listStudents(database, course)).entries()) {
    const sitting = await beginSitting(database, set.edition, student.key);
    const mark = { sitting, task: "c", possible: 1, reason: "", marker: "program" as const };
    await putMark(database.query, { ...mark, item: "class", earned: at < 2 ? 1 : 0 });
    // One that waits for the teacher says nothing yet.
    await putMark(database.query, { ...mark, item: "reason", earned: at === 11 ? null : 0 });
    if (at > 2) continue;
    // A second try, of who has seen it before, says nothing of how hard it is.
    await handIn(database, sitting, "student");
    const second = { ...mark, sitting: (await beginAgain(database, sitting)) ?? "" };
    for (const item of ["class", "reason"]) await putMark(database.query, { ...second, item, earned: 1 });
  }
  const now = await levelNow(database, content);
  expect(now.byResults).toMatchObject({ sitters: 11 });
  expect(now.level).toBeGreaterThan(before.level);
  expect(wordsOfResults(now)).toBe(`11 students earned 9 % of it; measured it would be level ${before.level}`);
  const again = await setForStudents(services, sheet);
  if (!again.ok) throw new Error(again.message);
  expect((await findEdition(database, again.edition))?.content.exercises[0]?.level).toBe(now.level);
});
