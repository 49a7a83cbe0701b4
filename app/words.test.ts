import { afterAll, beforeAll, expect, test } from "vitest";
import { collectCase, findCase } from "../server/cases/caseStore.ts";
import { listExercises } from "../server/exercises/exerciseStore.ts";
import { decideClass } from "../server/judge/decisions.ts";
import { addCourse, addStudents, listStudents, setCoursePolicy } from "../server/people/courseStore.ts";
import { addSheet, findSheet, placeExercise } from "../server/sheets/sheetStore.ts";
import { byTeacher, openTestServices } from "../server/testServices.ts";
import { asked, provideServices, textOfPage } from "./askRoute.ts";
import * as casebook from "./casebook/page.tsx";
import * as make from "./exercise/makePage.tsx";
import * as exercise from "./exercise/page.tsx";
import * as marking from "./marking/page.tsx";
import * as scheme from "./print/schemePage.tsx";
import * as paper from "./print/sheetPage.tsx";
import * as sheet from "./sheets/sheetPage.tsx";
import * as sit from "./sitting/page.tsx";
import * as save from "./sitting/save.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
});
afterAll(() => services.close());

test("a course's words are spoken in the Casebook, on exercises, sheets, schemes, marks and students' pages", async () => {
  const { database } = services;
  const course = await addCourse(database, "Kittiwake Crossing", "python");
  await setCoursePolicy(database, course, { endlessClass: "logic", wording: "syntactic", depth: "full" });
  await addStudents(database, course, ["S-01"]);
  const caseKey = await collectCase(database, {
    ...{ language: "python", course, student: null, title: "Deck", intent: "", changedLast: "" },
    files: [{ name: "deck.py", bytes: Buffer.from("deck = [4, 9]\nprint(deck[2])\n") }],
    ...{ input: "", expected: "9\n", symptom: null },
  });
  const found = await findCase(database, caseKey);
  if (!found) throw new Error("no case");
  expect(
    await decideClass(services, found, byTeacher(found), { class: "syntax", kind: null, reason: "" }),
  ).toMatchObject({ message: expect.stringContaining("The evidence says exception") });
  await decideClass(services, found, byTeacher(found), { class: "runtime", kind: null, reason: "" });
  const form = { intent: "make", title: "Deck", intro: "", "with classify": "on", "marks classify": "2" };
  await make.action(asked({ caseKey }, { form }));
  const exerciseKey = (await listExercises(database))[0]?.key ?? "";
  const sheetKey = await addSheet(database, course, "Loads");
  await placeExercise(database, sheetKey, exerciseKey);
  await sheet.action(asked({ sheetKey }, { form: { intent: "set" } }));
  const code = (await findSheet(database, sheetKey))?.code ?? "";
  const [student] = await listStudents(database, course);
  const enter = { intent: "enter", label: "S-01", personalCode: student?.personal_code ?? "" };
  const entered = await sit.action(asked({ code }, { form: enter }));
  const cookie = entered instanceof Response ? (entered.headers.get("Set-Cookie") ?? "").split(";")[0] : "";
  const sitting = await sit.loader(asked({ code }, { cookie }));
  const task = sitting.view?.exercises[0]?.tasks[0]?.key ?? "";
  await save.action(
    asked(
      { code },
      { json: { task, base: 0, writer: "page", count: 1, content: { class: "logic", reason: "" } }, cookie },
    ),
  );
  await sit.action(asked({ code }, { form: { intent: "hand in" }, cookie }));
  await services.queue.settled();
  const { listSittings } = await import("../server/sittings/sittingStore.ts");
  const sittingKey = (await listSittings(database, sheetKey))[0]?.key ?? "";

  const pages: Array<[string, string, string]> = [
    ["Casebook", textOfPage(casebook.default, await casebook.loader(asked({}))), "exception"],
    ["exercise", textOfPage(exercise.default, await exercise.loader(asked({ exerciseKey }))), "exception"],
    ["sheet", textOfPage(sheet.default, await sheet.loader(asked({ sheetKey }))), "an exception: it shows only"],
    ["scheme", textOfPage(scheme.default, await scheme.loader(asked({ sheetKey }))), "exception"],
    ["paper", textOfPage(paper.default, await paper.loader(asked({ sheetKey }))), "☐ logical error"],
    ["student", textOfPage(sit.default, sitting), "logical error"],
    [
      "marks",
      textOfPage(marking.default, await marking.loader(asked({ sheetKey, sittingKey }))),
      "It is an exception.",
    ],
  ];
  for (const [page, text, words] of pages) {
    expect(`${page}: ${text}`).toContain(words);
    expect(`${page}: ${text.replaceAll("all classes", "")}`).not.toMatch(
      page === "Casebook" ? /runtime error\b/ : /(?:runtime|logic|syntax) error/,
    );
  }
});
