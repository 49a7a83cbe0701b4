import { afterAll, beforeAll, expect, test } from "vitest";
import { collectCase, findCase } from "../cases/caseStore.ts";
import { addExercise } from "../exercises/exerciseStore.ts";
import { makeExercise } from "../exercises/makeExercise.ts";
import { decideClass } from "../judge/decisions.ts";
import { addCourse, addStudents } from "../people/courseStore.ts";
import { byTeacher, openTestServices } from "../testServices.ts";
import { setForStudents } from "./setSheet.ts";
import { addSheet, findSheet, placeExercise } from "./sheetStore.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

test("a sheet that holds a label or a name of the original is refused with exercise, place and word", async () => {
  const { database } = services;
  const course = await addCourse(database, "Kittiwake Crossing", "python");
  await addStudents(database, course, ["Tegan Vale", "S-02"]);
  const program = "# thanks to Aslaug\nteganDeck = [4, 9]\nprint(teganDeck[2])\n";
  const caseKey = await collectCase(database, {
    ...{ language: "python", course, student: null, title: "Deck", intent: "", changedLast: "" },
    files: [{ name: "deck.py", bytes: Buffer.from(program) }],
    ...{ input: "", expected: "9\n", symptom: null },
  });
  const collected = await findCase(database, caseKey);
  if (!collected) throw new Error("no case");
  await decideClass(services, collected, byTeacher(collected), { class: "runtime", kind: null, reason: "" });
  const found = await findCase(database, caseKey);
  if (!found) throw new Error("no case");
  const setWith = async (replacements: Array<{ word: string; replacement: string }>, intro: string) => {
    const order = { title: "Deck", intro, replacements, marks: { point: 1, classify: 2 } };
    const { content } = await makeExercise(services, found, order);
    const sheet = await addSheet(database, course, "Loads");
    await placeExercise(database, sheet, await addExercise(database, caseKey, "Deck loads", content));
    const draft = await findSheet(database, sheet);
    if (!draft) throw new Error("no sheet");
    return { draft, set: await setForStudents(services, draft) };
  };
  const left = await setWith([], "");
  expect(left.set).toMatchObject({ ok: false, names: true });
  const message = left.set.ok ? "" : left.set.message;
  expect(message).toContain("“Aslaug” in the program, line 1 of “Deck loads”");
  expect(message).toContain("“tegan” in the program, line 2 of “Deck loads”");
  // The teacher may know better.
  expect(await setForStudents(services, left.draft, true)).toMatchObject({ ok: true });

  const taken = [
    { word: "Aslaug", replacement: "PersonA" },
    { word: "Tegan", replacement: "PersonB" },
  ];
  expect((await setWith(taken, "")).set).toMatchObject({ ok: true });
  expect((await setWith(taken, "S-02 wrote it.")).set).toMatchObject({
    message: expect.stringContaining("“S-02” in the introduction"),
  });
});
