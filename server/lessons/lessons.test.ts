import { afterAll, beforeAll, expect, test } from "vitest";
import { deckMended, testExercise } from "../../core/exercises/testExercise.ts";
import { oneSignApart } from "../../core/lessons/oneSign.ts";
import { labSchema } from "../../core/lessons/parts/labPart.ts";
import { addExercise } from "../exercises/exerciseStore.ts";
import { addCourse } from "../people/courseStore.ts";
import { addSheet, placeExercise, setSheetState } from "../sheets/sheetStore.ts";
import { openTestServices } from "../testServices.ts";
import { contentFor } from "./beginLesson.ts";
import { exercisesTold } from "./exercisesTold.ts";
import { oneSignChanges, proposeLab, tryChange } from "./lab.ts";
import {
  addLesson,
  deleteLesson,
  findLesson,
  findOpenLesson,
  listLessons,
  moveLesson,
  neighboursOf,
  openLesson,
  saveLesson,
} from "./lessonStore.ts";
import { lessonView } from "./lessonView.ts";
import { ownWordsOf, setOwnWords } from "./ownWordsStore.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
let course: string;
beforeAll(async () => {
  services = await openTestServices();
  course = await addCourse(services.database, "Kittiwake Crossing", "python");
});
afterAll(() => services.close());

const content = testExercise({
  program: "deck = 4\nfor car in range(3):\n    deck = deck - 1\nprint('Places:', deck)\n",
  mended: "deck = 9\nfor car in range(3):\n    deck = deck - 1\nprint('Places:', deck)\n",
  checks: [{ input: "", expected: "Places: 6\n", kind: "normal", ignorePrompts: false, files: {} }],
});

test("what comes of one sign is told by a real run: refused, stopped, wrong, or nothing at all", async () => {
  const right = content.mended ?? "";
  const came = (from: string, to: string) => tryChange(services, content, right.replace(from, to), "logic");
  expect(await came(":", "")).toMatchObject({ class: "syntax", line: 2, message: "SyntaxError: expected ':'" });
  expect(await came("range(3)", "range()")).toMatchObject({ class: "runtime", line: 2 });
  expect(await came("- 1", "+ 1")).toMatchObject({ class: "logic", message: "", printed: "Places: 12\n" });
  expect(await came("9\n", "9 \n")).toEqual({ class: null, message: "", line: null, printed: "Places: 6\n" });
});

test("changes are proposed of one sign each, from the right program, with one of each class that can be had", async () => {
  const right = content.mended ?? "";
  const found = await proposeLab(services, content, 4, "logic");
  expect(found).toHaveLength(4);
  for (const { text } of found) expect(oneSignApart(right, text)).not.toBeNull();
  expect(new Set(found.map(({ came }) => came.class)).size).toBeGreaterThanOrEqual(2);
  expect(new Set(oneSignChanges(content, right, 12)).size).toBe(12);
  expect(await proposeLab(services, { ...content, mended: null }, 4, "logic")).toEqual([]);
});

test("a lesson with a sheet goes through programs that are not on it, and says so where it has to take its own", async () => {
  const { database } = services;
  const sheet = await addSheet(database, course, "Deck loads");
  const onSheet = await addExercise(database, null, "On the sheet", testExercise());
  await placeExercise(database, sheet, onSheet);
  const alone = await contentFor(services, sheet, "logic");
  expect(alone.parts.map(({ kind }) => kind)).toEqual(["classes", "program", "lab", "sheet", "recap"]);
  expect(alone.parts[1]?.content).toMatchObject({ exercise: onSheet });
  const other = await addExercise(database, null, "Another one", content);
  const beside = await contentFor(services, sheet, "logic");
  expect(beside.parts[1]?.content).toMatchObject({ exercise: other });
  expect(labSchema.parse(beside.parts[2]?.content).exercise).toBe(other);
  expect((await contentFor(services, null, "logic")).parts).toEqual([]);
});

test("what students are shown before a lesson holds nothing of what comes out; afterwards it does", async () => {
  const { database } = services;
  const exercise = await addExercise(database, null, "Deck", testExercise());
  const changed = {
    text: deckMended.replace("+", "*"),
    came: await tryChange(services, testExercise(), deckMended.replace("+", "*"), "logic"),
  };
  const part = (kind: string, of: unknown) => ({
    ...{ key: kind, kind, title: "", out: false, minutes: null },
    content: of,
  });
  await setOwnWords(database, course, "meant", "The ferry goes where it is steered.");
  const key = await addLesson(database, {
    ...{ course, title: "One sign", reader: "office" },
    content: {
      parts: [
        part("classes", { classes: ["logic"] }),
        part("program", { exercise, without: [] }),
        part("lab", { exercise, changes: [changed] }),
        part("lab", { exercise: "gone", changes: [] }),
        part("reading", { text: "Read this.\n\n? And why?" }),
        part("recap", {}),
      ],
    },
  });
  const lesson = await findLesson(database, key);
  if (!lesson) throw new Error("no lesson");
  const before = await lessonView(database, lesson, false);
  const after = await lessonView(database, lesson, true);
  expect(before.parts.map(({ kind }) => kind)).toEqual(["classes", "program", "lab", "lab", "reading", "recap"]);
  expect(before.parts[0]?.shows).toMatchObject([
    { of: "logic", words: [{ words: "The ferry goes where it is steered." }] },
  ]);
  expect(before.parts[2]?.shows).toMatchObject({ changes: [{ line: 2, came: null }] });
  expect(before.parts[3]?.shows).toBeNull();
  expect(JSON.stringify(before.parts)).not.toContain("Deck load: 12");
  expect(JSON.stringify(before.parts[1])).not.toContain("deck + 3");
  expect(before.parts.at(-1)?.shows).toEqual([]);
  expect(after.parts[2]?.shows).toMatchObject({ changes: [{ came: { class: "logic", printed: "Deck load: 12\n" } }] });
  expect(after.parts.at(-1)?.shows).toMatchObject([{ of: "logic", examples: [{ title: "Deck" }] }]);
  expect(before.parts.map(({ firstTask, tasks }) => (tasks > 0 ? firstTask : 0))).toEqual([0, 1, 2, 3, 4, 0]);
});

test("lessons stand in the order of their course; students find those that are open", async () => {
  const { database } = services;
  const tides = await addCourse(database, "Tides", "python");
  const keys: string[] = [];
  for (const title of ["One", "Two", "Three"])
    keys.push(await addLesson(database, { course: tides, title, reader: "school", content: { parts: [] } }));
  const titles = async () =>
    (await listLessons(database)).filter((each) => each.course === tides).map(({ title }) => title);
  const lesson = async (at: number) => {
    const found = await findLesson(database, keys[at] ?? "");
    if (!found) throw new Error("no lesson");
    return found;
  };
  await moveLesson(database, await lesson(2), -1);
  expect(await titles()).toEqual(["One", "Three", "Two"]);
  await moveLesson(database, await lesson(0), -1);
  await moveLesson(database, await lesson(1), 1);
  expect(await titles()).toEqual(["One", "Three", "Two"]);
  const { code } = await lesson(2);
  expect(await findOpenLesson(database, code)).toBeNull();
  await openLesson(database, keys[2] ?? "", "before");
  expect((await findOpenLesson(database, ` ${code.toLowerCase()} `))?.title).toBe("Three");
  const beside = await neighboursOf(database, await lesson(1), true);
  expect([beside.before?.title, beside.after]).toEqual(["Three", null]);
  expect((await neighboursOf(database, await lesson(2), true)).before).toBeNull();
  const own = await lesson(0);
  expect(await saveLesson(database, own.key, own.revision, { ...own, title: "First" })).toBe(true);
  expect(await saveLesson(database, own.key, own.revision, { ...own, title: "Late" })).toBe(false);
  await deleteLesson(database, own.key);
  expect(await titles()).toEqual(["Three", "Two"]);
});

test("a teacher's own words are kept by course, and taken away by writing nothing", async () => {
  const { database } = services;
  await setOwnWords(database, course, "noticed", "A wrong turning");
  await setOwnWords(database, course, "noticed", "A wrong turning is noticed at the harbour.");
  expect((await ownWordsOf(database, course)).get("noticed")).toContain("harbour");
  await setOwnWords(database, course, "noticed", "");
  expect((await ownWordsOf(database, course)).has("noticed")).toBe(false);
});

test("what is gone through and stands on a sheet of the course that can still be sat is told", async () => {
  const { database } = services;
  const own = await addCourse(database, "Told", "python");
  const exercise = await addExercise(database, null, "Loads", testExercise());
  const [open, closed] = [await addSheet(database, own, "Open"), await addSheet(database, own, "Over")];
  const elsewhere = await addSheet(database, course, "Elsewhere");
  for (const sheet of [open, closed, elsewhere]) await placeExercise(database, sheet, exercise);
  await setSheetState(database, closed, "closed");
  const part = (kind: string, out = false) => ({
    ...{ key: kind, kind, title: "", out, minutes: null },
    content: { exercise },
  });
  const told = (...parts: ReturnType<typeof part>[]) => exercisesTold(database, { course: own, content: { parts } });
  expect(await told(part("program"))).toEqual([{ title: "Loads", sheet: "Open" }]);
  expect(await told(part("lab"))).toHaveLength(1);
  expect(await told(part("program", true), part("reading"))).toEqual([]);
});

test("the right program of a lab is another one than those that are gone through, where there is another one", async () => {
  const { database } = services;
  const sheet = await addSheet(database, course, "Lengths");
  await placeExercise(database, sheet, await addExercise(database, null, "Own", testExercise()));
  for (const title of ["First", "Second"]) await addExercise(database, null, title, content);
  const parts = (await contentFor(services, sheet, "logic")).parts;
  const exerciseOf = (kind: string) => Object(parts.find((each) => each.kind === kind)?.content).exercise;
  expect(exerciseOf("lab")).not.toBe(exerciseOf("program"));
});

test("one sign changed in a program of another language is run by its own translator", async () => {
  const right =
    '#include <stdio.h>\nint main(void) {\n    int deck = 4;\n    printf("%d\\n", deck + 3);\n    return 0;\n}\n';
  const inC = testExercise({
    ...{ language: "c", fileName: "deck.c", program: right.replace("+", "-"), mended: right },
    checks: [{ input: "", expected: "7\n", kind: "normal", ignorePrompts: false, files: {} }],
  });
  expect(await tryChange(services, inC, right.replace("4;", "4"), "logic")).toMatchObject({
    ...{ class: "syntax", line: 4 },
  });
  expect(await tryChange(services, inC, right.replace("+ 3", "* 3"), "logic")).toMatchObject({
    ...{ class: "logic", message: "", printed: "12\n" },
  });
});
