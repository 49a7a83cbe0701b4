import { afterAll, beforeAll, expect, test } from "vitest";
import { collectCase, findCase } from "../../server/cases/caseStore.ts";
import { findExercise } from "../../server/exercises/exerciseStore.ts";
import { tryFix } from "../../server/mend/tryFix.ts";
import { byTeacher, openTestServices } from "../../server/testServices.ts";
import { answered, asked, provideServices, textOfPage } from "../askRoute.ts";
import * as makePage from "./makePage.tsx";
import * as page from "./page.tsx";

const program = 'crew = 3\nprint("Seats for Merrin:", crow)\n';

let services: Awaited<ReturnType<typeof openTestServices>>;
let caseKey = "";
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
  caseKey = await collectCase(services.database, {
    ...{ language: "python", course: null, student: null, title: "Seats", intent: "Seats for Merrin", changedLast: "" },
    files: [{ name: "seats.py", bytes: Buffer.from(program) }],
    ...{ input: "", expected: "Seats for Merrin: 3\n", symptom: null },
  });
  const found = await findCase(services.database, caseKey, "all");
  if (found) await tryFix(services, found, byTeacher(found), program.replace("crow", "crew"), true);
});
afterAll(() => services.close());

const form = {
  ...{ intent: "make", title: "Seats", intro: "For Merrin", more: "" },
  ...{ "with classify": "on", "marks classify": "2", "with mend": "on", "marks mend": "3" },
};
const make = (given: Record<string, string | readonly string[]>) =>
  answered(makePage.action(asked({ caseKey }, { form: given })));
const view = (exerciseKey: string) => page.loader(asked({ exerciseKey }));

/** Makes an exercise and gives its key. */
async function made(given: Record<string, string | readonly string[]> = form): Promise<string> {
  const { location = "" } = await make(given);
  return location.replace(/^.*\/exercises\/|\?.*$/g, "");
}

async function act(exerciseKey: string, given: Record<string, string>) {
  const { revision } = await view(exerciseKey);
  return answered(page.action(asked({ exerciseKey }, { form: { revision: String(revision), ...given } })));
}

test("the page proposes names, and says which tasks there are to tick", async () => {
  const loaded = await makePage.loader(asked({ caseKey }));
  expect(loaded).toMatchObject({ title: "Seats", mended: true });
  expect(JSON.stringify(loaded.proposals)).toContain("Merrin");
  const text = textOfPage(makePage.default, loaded);
  expect(text).toContain("Make the exercise");
  await expect(makePage.loader(asked({ caseKey: "nothing" }))).rejects.toMatchObject({ init: { status: 404 } });
});

test.each([
  ["no title", { ...form, title: "  " }, "Give it a title."],
  ["marks that are no number", { ...form, "marks mend": "many" }, "whole numbers from 0 to 100"],
  ["more marks than there may be", { ...form, "marks mend": "101" }, "whole numbers from 0 to 100"],
  ["no mark for any task", { ...form, "marks mend": "0", "marks classify": "0" }, "Tick at least one task"],
])("with %s nothing is made, and it says why", async (_, given, words) => {
  const refused = await make(given);
  expect(refused.status).toBe(422);
  expect(JSON.stringify(refused)).toContain(words);
});

test("an exercise has its tasks with the marks that were asked for, and no name that was to go", async () => {
  const key = await made({ ...form, name: ["Merrin"], "replacement Merrin": "Robin", more: "seats; nobody" });
  const found = await findExercise(services.database, key);
  expect(found?.content.tasks.map(({ kind, marks }) => [kind, marks])).toEqual([
    ["classify", 2],
    ["mend", 3],
  ]);
  expect(JSON.stringify(found?.content)).not.toContain("Merrin");
  expect(found?.content.program).toContain("Robin");
  const text = textOfPage(page.default, await view(key));
  expect(text).toContain("Mend the program");
  expect((await view(key)).total).toBe(5);
});

test("what students see of its runs is kept with it where it is ticked", async () => {
  const key = await made({ ...form, "show errors": "on" });
  const { content } = (await findExercise(services.database, key)) ?? {};
  expect(content?.given.map(({ of }) => of)).toEqual(["errors"]);
  expect(content?.given[0]?.text).toContain("NameError");
});

test("marks, words and tasks are changed; what is not there is refused, and an older page overwrites nothing", async () => {
  const key = await made();
  const [classify] = (await view(key)).tasks;
  const task = classify?.key ?? "";
  expect(await act(key, { intent: "marks", task, marks: "4" })).toMatchObject({ ok: true, message: "Kept." });
  expect((await view(key)).tasks[0]?.marks).toBe(4);
  expect(await act(key, { intent: "marks", task, marks: "0" })).toMatchObject({ status: 400 });
  expect(await act(key, { intent: "marks", task: "gone", marks: "4" })).toMatchObject({
    ...{ status: 422, message: "This task is not there any more. Nothing was changed." },
  });
  expect(await act(key, { intent: "words", title: " ", intro: "Read it twice." })).toMatchObject({ ok: true });
  expect(await view(key)).toMatchObject({ title: "Seats", intro: "Read it twice." });
  const stale = await act(key, { intent: "remove task", task, revision: "0" });
  expect(stale).toMatchObject({ status: 409, message: expect.stringContaining("nothing was overwritten") });
  expect((await view(key)).tasks).toHaveLength(2);
  expect(await act(key, { intent: "remove task", task })).toMatchObject({ ok: true });
  expect((await view(key)).tasks.map(({ kind }) => kind)).toEqual(["mend"]);
  expect(await act(key, { intent: "remove task", task })).toMatchObject({ status: 422 });
  expect(await act(key, { intent: "burn", task })).toMatchObject({ status: 400 });
});

test("programs that are changed by hand are proven by runs: one that does not fail any more changes nothing", async () => {
  const key = await made();
  const right = program.replace("crow", "crew");
  expect(await act(key, { intent: "prove", program: " ", mended: right })).toMatchObject({
    ...{ status: 422, message: "There is no program. Nothing was changed." },
  });
  expect(await act(key, { intent: "prove", program: right, mended: right })).toMatchObject({
    ...{ status: 422, message: expect.stringContaining("Nothing was changed.") },
  });
  const [longer, mended] = [`deck = 1\n${program}`, `deck = 1\n${right}`];
  expect(await act(key, { intent: "prove", program: longer, mended })).toMatchObject({ ok: true });
  const changed = await view(key);
  expect(changed.program).toBe(longer);
  expect(changed.faultyLines).toEqual([3]);
});
