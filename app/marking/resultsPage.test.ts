import { afterAll, beforeAll, expect, test } from "vitest";
import { deckMended, testExercise } from "../../core/exercises/testExercise.ts";
import { addExercise } from "../../server/exercises/exerciseStore.ts";
import { handInSitting } from "../../server/marks/markingWork.ts";
import { addCourse, addStudents, listStudents } from "../../server/people/courseStore.ts";
import { addSheet, findSheet, listPlaced, setSheet } from "../../server/sheets/sheetStore.ts";
import { beginAgain, beginSitting, saveAnswer } from "../../server/sittings/sittingStore.ts";
import { openTestServices } from "../../server/testServices.ts";
import { answered, asked, provideServices, textOfPage } from "../askRoute.ts";
import * as studentPage from "../courses/studentPage.tsx";
import * as results from "./resultsPage.tsx";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
});
afterAll(async () => {
  await services.queue.settled();
  await services.close();
});

test("how each task came out, which kind was taken for which, and a sheet of what was missed", async () => {
  const { database } = services;
  const course = await addCourse(database, "Kittiwake Crossing", "python");
  await addStudents(database, course, ["S-01", "S-02", "S-03"]);
  const students = await listStudents(database, course);
  const sheet = await addSheet(database, course, "Deck loads");
  const tasks = (at: number) => [
    { key: `class ${at}`, kind: "classify", marks: 2 },
    { key: `mend ${at}`, kind: "mend", marks: 2, allowedExtraLines: 1, extraCost: 0 },
  ];
  const exercises = [];
  for (const at of [1, 2]) {
    const content = testExercise({ tasks: tasks(at) });
    const key = await addExercise(database, null, `Deck ${at}`, content);
    exercises.push({ key, title: `Deck ${at}`, level: 1, content });
  }
  const page = async () => results.loader(asked({ sheetKey: sheet }));
  expect((await page()).results).toBeNull();
  expect(textOfPage(results.default, await page())).toContain("Nobody has handed this sheet in yet");
  expect(await answered(results.action(asked({ sheetKey: sheet }, { form: { intent: "missed" } })))).toMatchObject({
    ...{ ok: false, message: "Nothing was missed by the class." },
  });

  const edition = await setSheet(database, sheet, { title: "Deck loads", exercises });
  const sit = async (key: string, given: string, second: string) => {
    await saveAnswer(database, key, "class 1", 1, { class: given, reason: "" });
    await saveAnswer(database, key, "mend 1", 1, { text: deckMended });
    await saveAnswer(database, key, "class 2", 1, { class: given, reason: "" });
    await saveAnswer(database, key, "mend 2", 1, { text: second });
    await handInSitting(services, { key });
  };
  const begun = await Promise.all(students.map((student) => beginSitting(database, edition, student.key)));
  await sit(begun[0] ?? "", "runtime", "print(1)\n");
  await sit(begun[1] ?? "", "logic", "print(1)\n");
  // A second try takes the place of the first one.
  const again = await beginAgain(database, begun[0] ?? "");
  await sit(again ?? "", "runtime", "print(2)\n");
  await services.queue.settled();

  const seen = await page();
  expect(seen.results).toMatchObject({ edition: 1, handedIn: 2 });
  expect(seen.results?.confusions).toEqual([
    { right: "logic", given: "runtime", students: 2 },
    { right: "logic", given: "logic", students: 2 },
  ]);
  const [first, second] = seen.results?.exercises ?? [];
  expect(first?.tasks[1]).toMatchObject({ key: "mend 1", answered: 2, share: 1, wrong: [] });
  expect(second?.tasks[1]).toMatchObject({ share: 0 });
  expect(second?.tasks[1]?.wrong.length).toBeGreaterThan(0);
  expect(seen.missed).toEqual([second?.key]);
  expect(seen.results?.teach).toEqual([
    {
      id: "arithmetic-operator-wrong",
      name: expect.any(String),
      share: ((first?.share ?? 0) + (second?.share ?? 0)) / 2,
      exercises: ["Deck 1", "Deck 2"],
    },
  ]);
  const text = textOfPage(results.default, seen);
  expect(text).toContain("Which kind was taken for which");
  expect(text).toContain("38 % in “Deck 1”, “Deck 2”");
  expect(text).toMatch(/2 students, by the last try of each/);

  const { location } = await answered(results.action(asked({ sheetKey: sheet }, { form: { intent: "missed" } })));
  const next = location?.split("/").at(-1) ?? "";
  expect(await findSheet(database, next)).toMatchObject({ title: "Deck loads: what was missed", state: "draft" });
  expect((await listPlaced(database, next)).map(({ key }) => key)).toEqual([second?.key]);

  // The student's page has every try in the order of time.
  const own = await studentPage.loader(asked({ courseKey: course, studentKey: students[0]?.key ?? "" }));
  expect(own.sat.map(({ attempt, earned, possible }) => [attempt, earned, possible])).toEqual([
    [1, 2, 8],
    [2, 2, 8],
  ]);
  expect(textOfPage(studentPage.default, own)).toContain("Sheets, over time");
});
