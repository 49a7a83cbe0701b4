import { createElement } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import { afterAll, beforeAll, expect, test } from "vitest";
import { collectCase, findCase } from "../../../server/cases/caseStore.ts";
import { listExercises } from "../../../server/exercises/exerciseStore.ts";
import { decideClass } from "../../../server/judge/decisions.ts";
import { addCourse, addStudents, listStudents } from "../../../server/people/courseStore.ts";
import { addSheet, findSheet } from "../../../server/sheets/sheetStore.ts";
import { byTeacher, openTestServices } from "../../../server/testServices.ts";
import { answered, asked, provideServices } from "../../askRoute.ts";
import * as make from "../../exercise/makePage.tsx";
import * as exercise from "../../exercise/page.tsx";
import * as book from "../../marking/bookPage.tsx";
import * as marking from "../../marking/page.tsx";
import * as scheme from "../../print/schemePage.tsx";
import * as paper from "../../print/sheetPage.tsx";
import * as sheet from "../../sheets/sheetPage.tsx";
import * as sit from "../../sitting/page.tsx";
import * as save from "../../sitting/save.ts";
import { partsOf } from "../list.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
let course = "";
let caseKey = "";
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
  course = await addCourse(services.database, "Kittiwake Crossing", "python");
  await addStudents(services.database, course, ["S-01"]);
  caseKey = await collectCase(services.database, {
    ...{ language: "python", course, student: null, title: "Deck", intent: "", changedLast: "" },
    files: [{ name: "deck.py", bytes: Buffer.from("deck = [4, 9]\nprint(deck[2])\n") }],
    ...{ input: "", expected: "9\n", symptom: null },
  });
  const found = await findCase(services.database, caseKey);
  if (!found) throw new Error("no case");
  await decideClass(services, found, byTeacher(found), { class: "runtime", kind: null, reason: "" });
});
afterAll(() => services.close());

/** What a component shows, as text without its marks. */
const shown = (element: ReturnType<typeof createElement>) =>
  renderToStaticMarkup(element)
    .replace(/<[^>]+>/g, " ")
    .replace(/\s+/g, " ");

test("a definition is asked for, changed, printed, sat and marked, each by the pages that serve every kind of task", async () => {
  const { database } = services;
  const form = { intent: "make", title: "Deck", intro: "", "with define": "on", "marks define": "2" };
  expect(await make.action(asked({ caseKey }, { form }))).toBeInstanceOf(Response);
  const exerciseKey = (await listExercises(database))[0]?.key ?? "";
  const made = await exercise.loader(asked({ exerciseKey }));
  expect(made.tasks).toMatchObject([{ kind: "define", marks: 2, ownKey: { class: "runtime" } }]);

  // The teacher asks for another class; a stale page and a class that is none change nothing.
  const change = (fields: Record<string, string>) =>
    answered(
      exercise.action(
        asked({ exerciseKey }, { form: { intent: "change task", task: made.tasks[0]?.key ?? "", ...fields } }),
      ),
    );
  const revision = String(made.revision);
  expect(await change({ class: "beautiful", revision })).toMatchObject({
    status: 422,
    message: expect.stringContaining("three"),
  });
  expect(await change({ class: "logic", revision })).toMatchObject({ status: 200, message: "Kept." });
  expect(await change({ class: "syntax", revision })).toMatchObject({ status: 409 });

  const sheetKey = await addSheet(database, course, "Definitions");
  for (const intent of ["on", "set"])
    await answered(sheet.action(asked({ sheetKey }, { form: { intent, exercise: exerciseKey } })));
  const printed = await paper.loader(asked({ sheetKey }));
  const { Paper, Form, Answer } = partsOf("define");
  const view = printed.exercises[0]?.tasks[0]?.view;
  expect(shown(createElement(Paper, { view }))).toMatch(/logic error: what is it\?.*What does it bring about\?/);
  expect((await scheme.loader(asked({ sheetKey }))).exercises[0]?.tasks[0]?.scheme).toMatchObject([
    { item: "what it is", marks: 1 },
    { item: "its effect", marks: 1 },
  ]);

  const code = (await findSheet(database, sheetKey))?.code ?? "";
  const [student] = await listStudents(database, course);
  const entry = { intent: "enter", label: "S-01", personalCode: student?.personal_code ?? "" };
  const { cookie = "" } = await answered(sit.action(asked({ code }, { form: entry })));
  const page = await sit.loader(asked({ code }, { cookie }));
  const task = page.view?.exercises[0]?.tasks[0];
  const props = {
    ...{ taskKey: task?.key ?? "", view: task?.view, code, answer: null, fixed: false },
    exercise: {
      key: "",
      program: "",
      lines: [],
      language: "python",
      tried: false,
      fileName: "program.py",
      dataFiles: [],
      runsHere: null,
    },
    ...{ change: () => undefined, saveNow: async () => undefined },
  };
  expect(shown(createElement(Form, props))).toContain("Say it of a logic error");
  const content = { what: "It runs but the formula is wrong.", effect: "" };
  const json = { task: task?.key, base: 0, writer: "page", count: 1, content };
  expect(await save.action(asked({ code }, { json, cookie }))).toMatchObject({ result: "saved" });
  expect(
    await save.action(asked({ code }, { json: { ...json, revision: 2, content: { what: 7 } }, cookie })),
  ).toMatchObject({
    result: "incomplete",
  });
  await answered(sit.action(asked({ code }, { form: { intent: "hand in" }, cookie })));
  await services.queue.settled();

  const sittingKey = (await book.loader(asked({ sheetKey }))).tables[0]?.rows[0]?.sitting ?? "";
  const marked = await marking.loader(asked({ sheetKey, sittingKey }));
  const [own] = marked.exercises[0]?.tasks ?? [];
  expect(own?.items).toMatchObject([
    { item: "what it is", earned: null, suggested: 1 },
    { item: "its effect", earned: 0, reason: "Nothing was written." },
  ]);
  expect(shown(createElement(Answer, { compared: own?.compared }))).toContain("“It runs but the formula is wrong.”");
  const give = { intent: "give", task: own?.key ?? "", item: "what it is", earned: "1", reason: "" };
  expect(await answered(marking.action(asked({ sheetKey, sittingKey }, { form: give })))).toMatchObject({ ok: true });
  expect((await book.loader(asked({ sheetKey }))).tables[0]?.rows[0]).toMatchObject({ total: 1, waiting: 0 });
});
