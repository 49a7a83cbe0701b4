import { afterAll, beforeAll, expect, test } from "vitest";
import { testExercise } from "../../core/exercises/testExercise.ts";
import { collectCase, findCase } from "../../server/cases/caseStore.ts";
import { addExercise } from "../../server/exercises/exerciseStore.ts";
import { decideClass } from "../../server/judge/decisions.ts";
import { addCourse, addStudents } from "../../server/people/courseStore.ts";
import { byTeacher, openTestServices } from "../../server/testServices.ts";
import { asked, markupOf, provideServices, textOfPage } from "../askRoute.ts";
import * as casePage from "./casePage.tsx";
import * as exercisePage from "./exercisePage.tsx";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
});
afterAll(() => services.close());

test("an exercise before a class begins with its program alone; what its run gives is there to be shown", async () => {
  const key = await addExercise(services.database, null, "Deck loads", testExercise({ intro: "Add the loads." }));
  const view = await exercisePage.loader(asked({ exerciseKey: key }));
  expect(view).toMatchObject({
    console: { pieces: [{ text: "Deck load: 1\n" }] },
    ...{ notRun: null, intended: "Deck load: 7\n", back: `/exercises/${key}` },
    faults: [{ class: "logic", faultyLines: [2] }],
  });
  const text = textOfPage(exercisePage.default, view);
  expect(text).toContain("Add the loads. 1 deck = 4 2 print");
  for (const answer of ["Deck load: 1 ", "logic", "Pause and think", "Should come out"])
    expect(text).not.toContain(answer);
  expect(markupOf(exercisePage.default, view)).not.toContain("script-line-faulty");
  await expect(exercisePage.loader(asked({ exerciseKey: "none" }))).rejects.toMatchObject({ init: { status: 404 } });
});

test("a case is shown as it was handed in, without the names of students, also before it is mended", async () => {
  const { database } = services;
  const course = await addCourse(database, "Kittiwake Crossing", "python");
  await addStudents(database, course, ["Tegan Vale"]);
  const key = await collectCase(database, {
    ...{ language: "python", course, student: null, title: "Deck", intent: "the last load", changedLast: "" },
    files: [{ name: "deck.py", bytes: Buffer.from("# by Tegan Vale\ndeck = [4, 9]\nprint(deck[2])\n") }],
    ...{ input: "", expected: "9\n", symptom: null },
  });
  const open = await casePage.loader(asked({ caseKey: key }));
  expect(open.reveals).toHaveLength(2);
  const found = await findCase(database, key);
  if (!found) throw new Error("no case");
  await decideClass(services, found, byTeacher(found), { class: "runtime", kind: null, reason: "" });
  const view = await casePage.loader(asked({ caseKey: key }));
  expect(view.lines[0]).not.toContain("Tegan");
  expect(view.faults).toMatchObject([{ class: "runtime", hunks: [] }]);
  expect(view.console?.pieces.map(({ text }) => text).join("")).toContain("IndexError");
  await expect(casePage.loader(asked({ caseKey: "none" }))).rejects.toMatchObject({ init: { status: 404 } });
});
