import { afterAll, beforeAll, expect, test } from "vitest";
import { collectCase, findCase } from "../../server/cases/caseStore.ts";
import { addExercise, findExercise } from "../../server/exercises/exerciseStore.ts";
import { makeExercise } from "../../server/exercises/makeExercise.ts";
import { tryFix } from "../../server/mend/tryFix.ts";
import { addCourse, addStudents, listStudents } from "../../server/people/courseStore.ts";
import { addSheet, findSheet, placeExercise } from "../../server/sheets/sheetStore.ts";
import { sittingCookie } from "../../server/sittings/access.ts";
import { byTeacher, openTestServices } from "../../server/testServices.ts";
import { answered, asked, markupOf, provideServices } from "../askRoute.ts";
import * as book from "../marking/bookPage.tsx";
import * as scheme from "../print/schemePage.tsx";
import * as paper from "../print/sheetPage.tsx";
import * as sit from "../sitting/page.tsx";
import * as save from "../sitting/save.ts";
import * as sheetPage from "./sheetPage.tsx";

let services: Awaited<ReturnType<typeof openTestServices>>;
let sheetKey = "";
let code = "";
let exerciseKey = "";
let codeOf: Map<string, string>;
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
  const { database } = services;
  const course = await addCourse(database, "Kittiwake Crossing", "python");
  await addStudents(database, course, ["S-01", "S-02"]);
  codeOf = new Map((await listStudents(database, course)).map((each) => [each.label, each.personal_code]));
  const caseKey = await collectCase(database, {
    ...{ language: "python", course, student: null, title: "Deck", intent: "", changedLast: "" },
    files: [{ name: "deck.py", bytes: Buffer.from("deck = [4, 9]\nprint(deck[2])\n") }],
    ...{ input: "", expected: "9\n", symptom: null },
  });
  const collected = await findCase(database, caseKey);
  if (!collected) throw new Error("no case");
  await tryFix(services, collected, byTeacher(collected), "deck = [4, 9]\nprint(deck[1])\n", true);
  const found = await findCase(database, caseKey);
  if (!found) throw new Error("no case");
  const order = { title: "Deck", intro: "", replacements: [], marks: { point: 1 } };
  exerciseKey = await addExercise(database, caseKey, "Deck", (await makeExercise(services, found, order)).content);
  sheetKey = await addSheet(database, course, "Loads");
  await placeExercise(database, sheetKey, exerciseKey);
  code = (await findSheet(database, sheetKey))?.code ?? "";
});
afterAll(() => services.close());

const onSheet = (intent: string) => answered(sheetPage.action(asked({ sheetKey }, { form: { intent } })));
/** Signs in and returns the cookie. */
async function enter(label: string): Promise<string> {
  const form = { intent: "enter", label, personalCode: codeOf.get(label) ?? "" };
  return cookieOf(await sit.action(asked({ code }, { form })));
}
function cookieOf(response: unknown): string {
  if (!(response instanceof Response)) throw new Error("not let in");
  return (response.headers.get("Set-Cookie") ?? "").split(";")[0] ?? "";
}
const seen = async (cookie: string) => (await sit.loader(asked({ code }, { cookie }))).view;

test("a new edition takes no marks from the Mark book, the student or the scheme", async () => {
  await onSheet("set");
  const cookie = await enter("S-01");
  expect(cookie).toContain(sittingCookie);
  const first = await seen(cookie);
  const task = first?.exercises[0]?.tasks[0]?.key ?? "";
  await save.action(
    asked({ code }, { json: { task, base: 0, writer: "page", count: 1, content: { lines: [2] } }, cookie }),
  );
  await sit.action(asked({ code }, { form: { intent: "hand in" }, cookie }));
  await services.queue.settled();
  await onSheet("release");
  const marks = (await seen(cookie))?.exercises[0]?.tasks[0]?.marked;
  expect(marks?.length).toBeGreaterThan(0);

  // The exercise asks for something else since, with other keys, and a new edition is set.
  const exercise = await findExercise(services.database, exerciseKey);
  const changed = { ...exercise?.content, tasks: exercise?.content.tasks.map((each) => ({ ...each, key: "other" })) };
  await services.database.query("update exercise set content = $2 where key = $1", [
    exerciseKey,
    JSON.stringify({ ...changed, program: "deck = [4, 9]\nprint(deck[3])\n" }),
  ]);
  await onSheet("set");

  const tables = (await book.loader(asked({ sheetKey }))).tables;
  expect(tables).toMatchObject([
    { number: 2, released: false, rows: [{ label: "S-02", state: "not begun" }] },
    { number: 1, released: true, rows: [{ label: "S-01", state: "handed in" }] },
  ]);
  // Signed in anew, the student is back at the edition that was sat, with the marks, and may begin the new one.
  const again = await enter("S-01");
  const back = await seen(again);
  expect(back).toMatchObject({
    edition: 1,
    handedIn: true,
    totals: {},
    others: [{ number: 2, state: "not begun" }],
  });
  expect(back?.exercises[0]?.tasks[0]?.marked).toEqual(marks);
  const newest = cookieOf(
    await sit.action(asked({ code }, { form: { intent: "edition", number: "2" }, cookie: again })),
  );
  expect(await seen(newest)).toMatchObject({
    edition: 2,
    handedIn: false,
    others: [{ number: 1, state: "handed in" }],
  });
  expect(
    await answered(sit.action(asked({ code }, { form: { intent: "edition", number: "7" }, cookie: again }))),
  ).toMatchObject({ status: 422 });

  // On paper is what was set, by its number.
  const printed = async (page: typeof scheme | typeof paper, edition: string) => {
    const path = `/print?edition=${edition}`;
    return (await page.loader(asked({ sheetKey }, { path }))).exercises[0]?.lines.join("\n");
  };
  expect(await printed(scheme, "1")).toContain("deck[2]");
  expect(await printed(scheme, "2")).toContain("deck[3]");
  expect(await printed(paper, "1")).toContain("deck[2]");
  await expect(printed(scheme, "9")).rejects.toMatchObject({ init: { status: 404 } });

  const shown = markupOf(book.default, await book.loader(asked({ sheetKey })));
  expect(shown).toContain("Edition 1");
  expect(shown).toContain("Marks of all students, edition 2");
});
