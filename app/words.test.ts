import { createElement } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import { createMemoryRouter, type RouteObject, RouterProvider } from "react-router";
import { afterAll, beforeAll, expect, test } from "vitest";
import { collectCase, findCase } from "../server/cases/caseStore.ts";
import { listExercises } from "../server/exercises/exerciseStore.ts";
import { decideClass } from "../server/judge/decisions.ts";
import { addCourse, addStudents, listStudents, setCoursePolicy } from "../server/people/courseStore.ts";
import { addSheet, findSheet, placeExercise } from "../server/sheets/sheetStore.ts";
import { byTeacher, openTestServices } from "../server/testServices.ts";
import { asked, provideServices } from "./askRoute.ts";
import * as casebook from "./casebook/page.tsx";
import * as make from "./exercise/makePage.tsx";
import * as exercise from "./exercise/page.tsx";
import * as marking from "./marking/page.tsx";
import * as scheme from "./print/schemePage.tsx";
import * as paper from "./print/sheetPage.tsx";
import * as root from "./root.tsx";
import * as sheet from "./sheets/sheetPage.tsx";
import * as sit from "./sitting/page.tsx";
import * as save from "./sitting/save.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
});
afterAll(() => services.close());

/** What a page shows within the product's frame, as text. */
async function shown(component: unknown, loaderData: unknown): Promise<string> {
  const leaf: RouteObject = {
    index: true,
    id: "page",
    element: createElement(component as never, { loaderData } as never),
    loader: () => null,
  };
  const router = createMemoryRouter([{ id: "root", path: "/", Component: root.default, children: [leaf] }], {
    hydrationData: { loaderData: { page: loaderData } },
  });
  return renderToStaticMarkup(createElement(RouterProvider, { router })).replace(/<[^>]+>/g, " ");
}

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
  const form = { title: "Deck", intro: "", "with classify": "on", "marks classify": "2" };
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
  await save.action(asked({ code }, { json: { task, revision: 1, content: { class: "logic", reason: "" } }, cookie }));
  await sit.action(asked({ code }, { form: { intent: "hand in" }, cookie }));
  await services.queue.settled();
  const { listSittings } = await import("../server/sittings/sittingStore.ts");
  const sittingKey = (await listSittings(database, sheetKey))[0]?.key ?? "";

  const pages: Array<[string, Promise<string>, string]> = [
    ["Casebook", shown(casebook.default, await casebook.loader(asked({}))), "exception"],
    ["exercise", shown(exercise.default, await exercise.loader(asked({ exerciseKey }))), "exception"],
    ["sheet", shown(sheet.default, await sheet.loader(asked({ sheetKey }))), "an exception: it shows only"],
    ["scheme", shown(scheme.default, await scheme.loader(asked({ sheetKey }))), "exception"],
    ["paper", shown(paper.default, await paper.loader(asked({ sheetKey }))), "☐ logical error"],
    ["student", shown(sit.default, sitting), "logical error"],
    ["marks", shown(marking.default, await marking.loader(asked({ sheetKey, sittingKey }))), "It is an exception."],
  ];
  for (const [page, text, words] of pages) {
    expect(`${page}: ${await text}`).toContain(words);
    expect(`${page}: ${(await text).replaceAll("all classes", "")}`).not.toMatch(
      page === "Casebook" ? /runtime error\b/ : /(?:runtime|logic|syntax) error/,
    );
  }
});
