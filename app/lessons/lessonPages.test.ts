import { afterAll, beforeAll, expect, test } from "vitest";
import { deckMended, testExercise } from "../../core/exercises/testExercise.ts";
import { addExercise } from "../../server/exercises/exerciseStore.ts";
import { findLesson, listLessons } from "../../server/lessons/lessonStore.ts";
import { addCourse } from "../../server/people/courseStore.ts";
import { addSheet, findSheet, placeExercise, setSheet } from "../../server/sheets/sheetStore.ts";
import { openTestServices } from "../../server/testServices.ts";
import { answered, asked, markupOf, provideServices, textOfPage } from "../askRoute.ts";
import * as planPage from "../print/lessonPlanPage.tsx";
import { withLine } from "../readLesson/LabToDo.tsx";
import * as lab from "../readLesson/lab.ts";
import * as readPage from "../readLesson/page.tsx";
import { lookUp } from "../sitting/actions/lookUp.ts";
import * as beforePage from "./beforePage.tsx";
import * as lessonPage from "./lessonPage.tsx";
import * as listPage from "./page.tsx";

let services: Awaited<ReturnType<typeof openTestServices>>;
let course: string;
let sheet: string;
let onSheet: string;
let lessonKey: string;

beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
  const { database } = services;
  course = await addCourse(database, "Kittiwake Crossing", "python");
  sheet = await addSheet(database, course, "Deck loads");
  const tasks = [{ key: "kind", kind: "classify", marks: 2 }];
  onSheet = await addExercise(database, null, "Deck on the sheet", testExercise({ tasks }));
  await placeExercise(database, sheet, onSheet);
});
afterAll(() => services.close());

const page = () => lessonPage.loader(asked({ lessonKey }));
const ask = async (intent: string, fields: Record<string, string | string[]> = {}) => {
  const { revision } = await page();
  return answered(lessonPage.action(asked({ lessonKey }, { form: { intent, revision: String(revision), ...fields } })));
};
const partOf = async (kind: string) => {
  const found = (await page()).parts.find((part) => part.kind === kind);
  if (!found) throw new Error(`no part ${kind}`);
  return found;
};

test("a lesson is begun with a sheet, and says which of its programs stand on it as well", async () => {
  expect(textOfPage(listPage.default, await listPage.loader(asked({})))).toContain("A lesson takes a class");
  const begin = (fields: Record<string, string>) =>
    answered(listPage.action(asked({}, { form: { intent: "begin", ...fields } })) as never);
  expect(await begin({ title: " ", course })).toMatchObject({ ok: false, status: 422 });
  expect(await begin({ title: "Loads", course, sheet: "none" })).toMatchObject({ ok: false });
  const begun = await begin({ title: "Loads", course, sheet, reader: "university" });
  lessonKey = begun.location?.split("/").at(-1) ?? "";
  const view = await page();
  expect(view.parts.map(({ kind }) => kind)).toEqual(["classes", "program", "lab", "sheet", "recap"]);
  expect(view.told).toEqual([{ title: "Deck on the sheet", sheet: "Deck loads" }, ...view.told.slice(1)]);
  const text = textOfPage(lessonPage.default, view, `/lessons/${lessonKey}`);
  expect(text).toContain(
    "“Deck on the sheet” is gone through in this lesson and stands on the sheet “Deck loads” as well.",
  );
  expect(text).toContain("2. A faulty program together");
  expect(textOfPage(listPage.default, await listPage.loader(asked({})))).toContain("Loads not open for students");
});

test("a part is changed, left out, moved and taken away; what was changed meanwhile is not overwritten", async () => {
  const program = await partOf("program");
  expect(
    await ask("part", { part: program.key, title: "The deck", minutes: "7", exercise: onSheet, step: ["line"] }),
  ).toMatchObject({ ok: true });
  expect((await partOf("program")).content).toEqual({ exercise: onSheet, without: ["class", "fix"] });
  expect((await partOf("program")).shown).toMatchObject({ name: "The deck", takes: 7 });
  expect(await ask("part", { part: program.key, title: "", minutes: "soon", exercise: onSheet })).toMatchObject({
    message: "Minutes are a whole number up to 600, or nothing.",
  });
  expect(await ask("part", { part: (await partOf("classes")).key, minutes: "" })).toMatchObject({
    message: "Something in this part is missing or too long. Nothing was changed.",
  });
  const whole = (await page()).minutes;
  await ask("out", { part: program.key });
  expect((await page()).minutes).toBe(whole - 7);
  expect(textOfPage(lessonPage.default, await page(), "/")).toContain("left out");
  await ask("out", { part: program.key });
  await ask("down", { part: program.key });
  expect((await page()).parts.map(({ kind }) => kind)).toEqual(["classes", "lab", "program", "sheet", "recap"]);
  await ask("up", { part: program.key });
  expect(await ask("add", { kind: "film" })).toMatchObject({ ok: false });
  await ask("add", { kind: "story" });
  const story = await partOf("story");
  await ask("part", { part: story.key, title: "The word", minutes: "", text: "A moth was once found." });
  expect((await partOf("story")).content).toEqual({ text: "A moth was once found." });
  await ask("away", { part: story.key });
  expect((await page()).parts).toHaveLength(5);
  const old = { intent: "out", revision: "1", part: program.key };
  expect(await answered(lessonPage.action(asked({ lessonKey }, { form: old })))).toMatchObject({ status: 409 });
  expect(await ask("out", { part: "none" })).toMatchObject({ ok: false, status: 422 });
});

test("a change of one sign is run and kept; more than one sign is none", async () => {
  const { key, shown } = await partOf("lab");
  const before = shown?.kind === "lab" ? (shown.shows?.changes.length ?? 0) : 0;
  expect(before).toBeGreaterThan(0);
  expect(await ask("change", { part: key, text: deckMended.replace("+ 3", "* 30") })).toMatchObject({
    message: "Change exactly one sign of the program that is right: one more, one less, or another one.",
  });
  expect(await ask("change", { part: key, text: deckMended.replace("4\n", "4 4\n".replace(" ", "")) })).toMatchObject({
    ok: true,
  });
  expect(await ask("change", { part: key, text: deckMended.replace("4\n", "44\n") })).toMatchObject({ ok: false });
  const text = textOfPage(lessonPage.default, await page(), "/");
  expect(text).toContain("Line 1: deck = 4 becomes deck = 44");
  expect(text).toContain("Deck load: 47");
  await ask("drop", { part: key, number: "0" });
  await ask("propose", { part: key });
  const after = (await partOf("lab")).shown;
  expect(after?.kind === "lab" && after.shows?.changes.length).toBeGreaterThanOrEqual(before);
});

test("a teacher's words, the title and for whom it is explained are kept", async () => {
  expect(await ask("words", { idea: "meant", words: "The ferry goes where it is steered." })).toMatchObject({
    message: "Kept, for all lessons of this course.",
  });
  expect(await ask("words", { idea: "none", words: "x" })).toMatchObject({ ok: false });
  expect(await ask("keep", { title: "", reader: "home" })).toMatchObject({ ok: false });
  await ask("keep", { title: "Loads on deck", reader: "home" });
  expect((await findLesson(services.database, lessonKey))?.reader).toBe("home");
  const before = await beforePage.loader(asked({ lessonKey }));
  const text = textOfPage(beforePage.default, before, "/");
  expect(text).toContain("Loads on deck, part 1 of 5 What the kinds of error are");
  expect(text).not.toContain("It does something else than was meant.");
  const plan = textOfPage(planPage.default, await planPage.loader(asked({ lessonKey })), "/");
  expect(plan).toContain("The deck Deck on the sheet : guess, run it, find the line");
});

test("students read an open lesson: nothing beforehand of what comes out; its code also works where a sheet's is typed", async () => {
  const { code } = await page();
  const read = () => readPage.loader(asked({ code }));
  await expect(read()).rejects.toMatchObject({ init: { status: 404 } });
  await ask("open", { open: "before" });
  const text = textOfPage(readPage.default, await read(), "/");
  expect(text).toContain("Task 1. Read it. What should it do");
  expect(text).toContain("The ferry goes where it is steered.");
  expect(text).toContain("This comes after the lesson.");
  expect(text).not.toContain("Deck load: 47");
  expect(markupOf(readPage.default, await read(), "/")).not.toContain("script-line-faulty");
  await ask("open", { open: "whole" });
  expect(textOfPage(readPage.default, await read(), "/")).toContain(
    "Deck on the sheet print(&#x27;Deck load:&#x27;, deck - 3)",
  );
  const form = new FormData();
  form.set("code", code.toLowerCase());
  const found = await lookUp.run({ services, address: "here" }, form);
  expect(found instanceof Response && found.headers.get("location")).toBe(`/s/lesson/${code}`);
});

test("a student's change is run from the right program only, one sign at a time", async () => {
  const { code } = await page();
  const { key } = await partOf("lab");
  const send = (text: string, part = key) => lab.action(asked({ code }, { json: { part, text } }));
  expect(await send(withLine(deckMended, 2, "print('Deck load:', deck + 3"))).toMatchObject({
    ok: true,
    line: 2,
    came: { class: "syntax", message: expect.stringContaining("never closed") },
  });
  expect(await send(deckMended)).toMatchObject({
    ok: false,
    message: expect.stringContaining("Nothing is changed yet"),
  });
  expect(await send("import os\n")).toMatchObject({
    ok: false,
    message: expect.stringContaining("more than one sign"),
  });
  expect(await send(deckMended, "none")).toMatchObject({ ok: false });
  expect(await lab.action(asked({ code }, { json: { part: 7 } }))).toMatchObject({ ok: false });
  await ask("open", { open: "closed" });
  expect(await send(withLine(deckMended, 1, "deck = 5"))).toMatchObject({
    message: "This lesson is not open any more.",
  });
});

test("the sheet of a lesson shows its code when it is set; lessons are put in order and taken away", async () => {
  const { database } = services;
  await setSheet(database, sheet, { title: "Deck loads", exercises: [] });
  const shown = await beforePage.loader(asked({ lessonKey }));
  expect(shown.parts.find(({ kind }) => kind === "sheet")?.shows).toMatchObject({
    code: (await findSheet(database, sheet))?.code,
    state: "set",
  });
  const second = await answered(
    listPage.action(asked({}, { form: { intent: "begin", title: "Tides", course, sheet: "" } })) as never,
  );
  const other = second.location?.split("/").at(-1) ?? "";
  await listPage.action(asked({}, { form: { intent: "up", lesson: other } }));
  expect((await listLessons(database)).map(({ title }) => title)).toEqual(["Tides", "Loads on deck"]);
  expect((await page()).before?.title).toBe("Tides");
  expect(await ask("delete")).toMatchObject({ location: "/lessons" });
  await expect(page()).rejects.toMatchObject({ init: { status: 404 } });
});
