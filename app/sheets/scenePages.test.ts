import { afterAll, beforeAll, expect, test } from "vitest";
import { deckMended, deckProgram, testExercise } from "../../core/exercises/testExercise.ts";
import { usualRules } from "../../core/sittings/sittingRules.ts";
import { addExercise } from "../../server/exercises/exerciseStore.ts";
import { handInSitting } from "../../server/marks/markingWork.ts";
import { addCourse, addStudents, listStudents } from "../../server/people/courseStore.ts";
import { keepScene, listScenes } from "../../server/sheets/sceneStore.ts";
import { addSheet, findEdition, findSheet, placeExercise, setRules, setSheet } from "../../server/sheets/sheetStore.ts";
import { beginSitting, passOf, saveAnswer } from "../../server/sittings/sittingStore.ts";
import { openTestServices } from "../../server/testServices.ts";
import { answered, asked, provideServices, textOfPage } from "../askRoute.ts";
import * as answersPage from "../marking/answersPage.tsx";
import * as markingPage from "../marking/page.tsx";
import * as schemePrint from "../print/schemePage.tsx";
import * as sheetPrint from "../print/sheetPage.tsx";
import * as studentPage from "../sitting/page.tsx";
import * as sheetPage from "./sheetPage.tsx";

let services: Awaited<ReturnType<typeof openTestServices>>;
let sheetKey: string;
let sittings: string[];
const inOther = (text: string) => text.replaceAll("deck", "hold").replaceAll("Deck", "Hold").replace("4", "8");

beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
  const { database } = services;
  const course = await addCourse(database, "Kittiwake Crossing", "python");
  await addStudents(database, course, ["S-01", "S-02"]);
  const tasks = [{ key: "mend", kind: "mend", marks: 2, allowedExtraLines: 1, extraCost: 0 }];
  const content = testExercise({ tasks });
  sheetKey = await addSheet(database, course, "Loads");
  const exercise = await addExercise(database, null, "Deck", content);
  await placeExercise(database, sheetKey, exercise);
  await setRules(database, sheetKey, { ...usualRules, mode: "practice", bySeat: true });
  const exercises = [{ key: exercise, title: "Deck", level: 1, content }];
  const edition = await setSheet(database, sheetKey, { title: "Loads", exercises });
  const asSet = await findEdition(database, edition);
  if (!asSet) throw new Error("no edition");
  const other = {
    ...content,
    ...{ program: inOther(deckProgram), mended: inOther(deckMended) },
    faults: content.faults.map((fault) => ({
      ...fault,
      hunks: fault.hunks.map((hunk) => ({
        ...hunk,
        before: hunk.before.map(inOther),
        after: hunk.after.map(inOther),
      })),
    })),
    checks: content.checks.map((check) => ({ ...check, expected: "Hold load: 11\n" })),
  };
  await keepScene(database, edition, 1, {
    ...asSet.content,
    exercises: asSet.content.exercises.map((each) => ({ ...each, content: other })),
  });
  const students = await listStudents(database, course);
  sittings = [];
  for (const [at, { key }] of students.entries()) sittings.push(await beginSitting(database, edition, key, at));
  for (const [at, key] of sittings.entries()) {
    await saveAnswer(database, key, "mend", 1, { text: at === 0 ? deckMended : inOther(deckMended) });
    await handInSitting(services, { key });
  }
  await services.queue.settled();
});
afterAll(() => services.close());

test("the sheet's page says in how many other ways it is there, and each of them prints with its scheme", async () => {
  const { database } = services;
  const text = textOfPage(sheetPage.default, await sheetPage.loader(asked({ sheetKey })), "/");
  expect(text).toContain("Made in 1 other way, with the same faults on the same lines.");
  expect(text).toContain("With other names and numbers 1: sheet , scheme");
  const printed = (path: string) => sheetPrint.loader(asked({ sheetKey }, { path }));
  const paper = textOfPage(sheetPrint.default, await printed("/?scene=1"));
  expect(paper).toContain("hold = 8");
  expect(paper).toContain("Kittiwake Crossing · 1 · 2 marks");
  expect(textOfPage(sheetPrint.default, await printed("/"))).toContain("deck = 4");
  const scheme = await schemePrint.loader(asked({ sheetKey }, { path: "/?scene=1" }));
  expect(textOfPage(schemePrint.default, scheme)).toContain("with other names and numbers 1");
  for (const path of ["/?scene=2", "/?scene=x"])
    await expect(printed(path)).rejects.toMatchObject({ init: { status: 404 } });
  const sheet = await findSheet(database, sheetKey);
  expect(sheet?.rules.bySeat).toBe(true);
});

test("a student in another scene sees its program, and is marked by it; the teacher reads beside which one it was", async () => {
  const { database } = services;
  const code = (await findSheet(database, sheetKey))?.code ?? "";
  const page = async (at: number) => {
    const cookie = `bent-nail-sitting=${await passOf(database, sittings[at] ?? "")}`;
    return studentPage.loader(asked({ code }, { cookie }));
  };
  const [first, second] = [await page(0), await page(1)];
  expect(textOfPage(studentPage.default, first, `/s/${code}`)).not.toContain("with other names and numbers");
  const text = textOfPage(studentPage.default, second, `/s/${code}`);
  expect(text).toContain("S-02 , with other names and numbers".replace(" ,", ","));
  expect(text).toContain("hold = 8");
  expect(text).not.toContain("deck = 4");
  const marked = async (at: number) =>
    textOfPage(markingPage.default, await markingPage.loader(asked({ sheetKey, sittingKey: sittings[at] ?? "" })), "/");
  expect(await marked(1)).toContain("handed in, with other names and numbers");
  expect(await marked(0)).not.toContain("with other names and numbers");
  const answers = await answersPage.loader(asked({ sheetKey, taskKey: "mend" }));
  expect(answers.groups.map(({ labels, scene }) => [labels, scene]).sort()).toEqual([
    [["S-01"], 0],
    [["S-02"], 1],
  ]);
  expect(textOfPage(answersPage.default, answers, "/")).toContain(
    "S-02 ; with other names and numbers (1)".replace(" ;", ";"),
  );
  expect(answers.groups.every(({ items }) => items.every(({ earned, possible }) => earned === possible))).toBe(true);
});

test("the rules of a sheet that is set have its other scenes made, and say so until they are there", async () => {
  const { database } = services;
  const sheet = await addSheet(database, (await findSheet(database, sheetKey))?.course ?? "", "Later");
  const content = testExercise();
  const edition = await setSheet(database, sheet, {
    title: "Later",
    exercises: [{ key: "e", title: "Deck", level: 1, content }],
  });
  const form = { intent: "rules", mode: "test", minutes: "0", hintCost: "0", bySeat: "on" };
  expect(await answered(sheetPage.action(asked({ sheetKey: sheet }, { form })))).toMatchObject({ ok: true });
  await services.queue.settled();
  expect(await listScenes(database, edition)).toEqual([1, 2, 3]);
  const off = { intent: "rules", mode: "paper", minutes: "0", hintCost: "0", otherScenes: "on" };
  expect(await answered(sheetPage.action(asked({ sheetKey: sheet }, { form: off })))).toMatchObject({ ok: true });
});
