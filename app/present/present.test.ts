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
    runs: [
      { console: { pieces: [{ text: "Deck load: 1\n" }] } },
      { console: { pieces: [{ text: "Deck load: 7\n" }] } },
    ],
    ...{ intended: "Deck load: 7\n", back: `/exercises/${key}` },
    faults: [{ class: "logic", faultyLines: [2], looks: [{ line: 2 }] }],
  });
  const text = textOfPage(exercisePage.default, view);
  expect(text).toContain("Add the loads. 1 deck = 4 2 print");
  for (const answer of ["Deck load: 1 ", "logic", "Pause and think", "Should come out"])
    expect(text).not.toContain(answer);
  expect(markupOf(exercisePage.default, view)).not.toContain("script-line-faulty");
  await expect(exercisePage.loader(asked({ exerciseKey: "none" }))).rejects.toMatchObject({ init: { status: 404 } });
});

test("several faults are gone through one by one, each with the run that shows it", async () => {
  const program = "deck = [4, 9\nprint(dek[0])\n";
  const fault = (line: number, before: string, after: string, reportedLine: number | null) => ({
    ...{ class: "runtime" as const, symptom: "", message: "", reportedLine, faultyLines: [line] },
    hunks: [{ start: line, before: [before], after: [after] }],
  });
  const content = testExercise({
    program,
    faults: [
      fault(1, "deck = [4, 9\n", "# loads\ndeck = [4, 9]\n", 1),
      fault(2, "print(dek[0])\n", "print(deck[0])\n", 3),
    ],
  });
  const key = await addExercise(services.database, null, "Two faults", content);
  const view = await exercisePage.loader(asked({ exerciseKey: key }));
  const printed = view.runs.map((run) => JSON.stringify(run));
  expect(printed[0]).toContain("never closed");
  expect(printed[1]).toContain("NameError");
  expect(printed[2]).toContain("4\\n");
  // The second message names line 3 of a program that has a line more: on the listing that is another line.
  expect(view.faults.map(({ reportedLine }) => reportedLine)).toEqual([1, null]);
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
  expect(JSON.stringify(view.runs)).toContain("IndexError");
  expect(view.runs).toHaveLength(1);
  await expect(casePage.loader(asked({ caseKey: "none" }))).rejects.toMatchObject({ init: { status: 404 } });
});
