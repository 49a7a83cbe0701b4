import { afterAll, beforeAll, expect, test } from "vitest";
import { findLanguage } from "../../core/languages/languages.ts";
import { loadCases } from "../../demo/load.ts";
import { findCase } from "../cases/caseStore.ts";
import { listFormer } from "../cases/formerStore.ts";
import { listCases } from "../cases/listStore.ts";
import { makeExercise } from "../exercises/makeExercise.ts";
import { listStudents } from "../people/courseStore.ts";
import { studentView } from "../results/studentView.ts";
import { setForStudents } from "../sheets/setSheet.ts";
import {
  findEdition,
  findLastEdition,
  findSheet,
  listSheets,
  moveExercise,
  releaseMarks,
  type Sheet,
} from "../sheets/sheetStore.ts";
import { enterSitting } from "../sittings/access.ts";
import { findSitting, listSittings, saveAnswer } from "../sittings/sittingStore.ts";
import { byTeacher, openTestServices } from "../testServices.ts";
import { closeSheet, handInSitting } from "./markingWork.ts";
import { listMarks } from "./markStore.ts";
import { overrule } from "./overrule.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
  await loadCases(services);
  await services.queue.settled();
});
afterAll(() => services.close());

const { who } = byTeacher({ revision: 0 });

async function demoSheet(): Promise<Sheet> {
  const [first] = await listSheets(services.database);
  const sheet = first && (await findSheet(services.database, first.key));
  if (!sheet) throw new Error("no sheet");
  return sheet;
}
async function marksOf(label: string): Promise<Record<string, number | null>> {
  const sheet = await demoSheet();
  const sitting = (await listSittings(services.database, sheet.key)).find((each) => each.label === label);
  const edition = await findEdition(services.database, sitting?.edition ?? "");
  const names = new Map(
    edition?.content.exercises.flatMap((exercise) =>
      exercise.content.tasks.map((task) => [task.key, `${exercise.content.fileName} ${task.kind}`]),
    ),
  );
  return Object.fromEntries(
    (await listMarks(services.database, [sitting?.key ?? ""])).map((mark) => [
      `${names.get(mark.task)} ${mark.item}`,
      mark.earned,
    ]),
  );
}

test("the demo's cases show what they were made to show", async () => {
  const { rows } = await listCases(services.database, { judged: true, page: 0 });
  const python = rows.filter((row) => row.course_name === "Kittiwake Crossing, group 1");
  const others = rows.filter((row) => row.course_name !== "Kittiwake Crossing, group 1");
  // In every other language the wrong result and the case with faults one behind the other are mended and verified.
  expect([others.length, others.every((row) => row.verified_at !== null)]).toEqual([16, true]);
  expect(
    Object.fromEntries(python.map((row) => [row.title, [row.class, row.layers, row.verified_at !== null]])),
  ).toEqual({
    "Boarding list: is there a place left?": ["syntax", 1, true],
    "Tide heights at the slip": ["syntax", 1, true],
    "Load on the car deck": ["runtime", 1, true],
    "How long does the crossing take?": ["runtime", 1, true],
    "Passenger list with numbers": ["runtime", 1, true],
    "Half fare up to 15": ["logic", 1, true],
    "May the ferry sail?": ["logic", 1, true],
    "Crates on the deck": ["logic", 1, true],
    "Departures from Puffin Quay": ["syntax", 3, true],
  });
});

test("a student who mended all three faults earns all, one who mended two earns two thirds", async () => {
  expect(await marksOf("S-01")).toMatchObject({
    "timetable.py mend fault 1": 2,
    "timetable.py mend fault 2": 2,
    "timetable.py mend fault 3": 2,
  });
  expect(await marksOf("S-03")).toMatchObject({
    "timetable.py mend fault 1": 2,
    "timetable.py mend fault 2": 2,
    "timetable.py mend fault 3": 0,
  });
});

test("a fault that is left keeps the program from running but not the others from counting; features cost once", async () => {
  const marks = await marksOf("S-05");
  expect([
    marks["timetable.py mend fault 1"],
    marks["timetable.py mend fault 2"],
    marks["timetable.py mend fault 3"],
  ]).toEqual([1, 0, 2]);
});

test("another line with the same effect mends too", async () => {
  expect(await marksOf("S-05")).toMatchObject({ "deck_load.py mend fault 1": 2 });
});

test("a reason waits for the teacher, an empty one earns nothing", async () => {
  expect(await marksOf("S-01")).toMatchObject({ "boarding.py classify kind": 1, "boarding.py classify reason": null });
  expect(await marksOf("S-08")).toMatchObject({ "deck_load.py classify reason": 0 });
});

test("an exercise holds no label of the course, and its program behaves as the case did", async () => {
  const edition = await findLastEdition(services.database, (await demoSheet()).key);
  expect(JSON.stringify(edition?.content)).not.toMatch(/S-0\d/);
  const boarding = edition?.content.exercises[0];
  expect(boarding?.content.program).toContain("by PersonA");
  expect(boarding?.content.faults).toMatchObject([{ class: "syntax", reportedLine: 5, faultyLines: [5] }]);
});

test("what students get before release holds no class, no faulty line, no fix and no key", async () => {
  const sheet = await demoSheet();
  const sitting = (await listSittings(services.database, sheet.key)).find((each) => each.label === "S-10");
  const edition = await findEdition(services.database, sitting?.edition ?? "");
  if (!sitting || !edition) throw new Error("no sitting");
  const page = JSON.stringify(await studentView(services, { sheet, sitting, edition }));
  expect(page).not.toMatch(
    /faultyLines|hunks|reportedLine|"faults":\[|mended":"|was never closed|\[number - 1\]|age <= 15|len\(departures\) - 1/,
  );
  expect(page).not.toMatch(/"answer":\{"output"|"earned"/);
});

test("marks are seen only after release, and only of what was handed in", async () => {
  const sheet = await demoSheet();
  const sitting = (await listSittings(services.database, sheet.key)).find((each) => each.label === "S-01");
  const edition = await findEdition(services.database, sitting?.edition ?? "");
  if (!sitting || !edition) throw new Error("no sitting");
  expect((await studentView(services, { sheet, sitting, edition })).exercises[0]?.tasks[0]?.marked).toEqual([]);
  await releaseMarks(services.database, sheet.key, true);
  const after = await studentView(services, { sheet: await demoSheet(), sitting, edition });
  expect(after.exercises[0]?.tasks[0]?.marked.map((mark) => mark.item)).toEqual(["kind", "reason"]);
  await releaseMarks(services.database, sheet.key, false);
});

test("label and personal code must belong together; guessing is slowed down", async () => {
  const sheet = await demoSheet();
  const [, second] = await listStudents(services.database, sheet.course);
  if (!second) throw new Error("no student");
  expect(
    await enterSitting(services, sheet, second.label, second.personal_code.toLowerCase().replace("-", ""), "10.0.0.2"),
  ).toMatchObject({ ok: true });
  for (let tries = 0; tries < 10; tries++)
    expect(await enterSitting(services, sheet, " S-04 ", "WRONG1", "10.0.0.4")).toMatchObject({ ok: false });
  const [, , , fourth] = await listStudents(services.database, sheet.course);
  expect(await enterSitting(services, sheet, "S-04", fourth?.personal_code ?? "", "10.0.0.4")).toMatchObject({
    ok: false,
    message: expect.stringContaining("Too many"),
  });
  // The right code from a device that did not guess is let in: nobody can lock another out.
  expect(await enterSitting(services, sheet, "S-04", fourth?.personal_code ?? "", "10.0.0.5")).toMatchObject({
    ok: true,
  });
});

test("a late or repeated save never overwrites a newer answer, and nothing is taken after handing in", async () => {
  const sheet = await demoSheet();
  const students = await listStudents(services.database, sheet.course);
  const sixth = students[5];
  const entered = await enterSitting(services, sheet, sixth?.label ?? "", sixth?.personal_code ?? "", "10.0.0.6");
  if (!entered.ok) throw new Error(entered.message);
  const edition = await findLastEdition(services.database, sheet.key);
  const task = edition?.content.exercises[0]?.content.tasks[0]?.key ?? "";
  const save = (revision: number, reason: string) =>
    saveAnswer(services.database, entered.sitting, task, revision, { class: "syntax", reason });
  expect(await save(2, "newer")).toBe("saved");
  expect(await save(1, "late")).toBe("older");
  expect(await save(2, "repeated")).toBe("older");
  const sitting = await findSitting(services.database, entered.sitting);
  if (!sitting) throw new Error("no sitting");
  expect(await handInSitting(services, sitting)).toBe(true);
  expect(await handInSitting(services, sitting)).toBe(false);
  expect(await save(9, "after")).toBe("handed in");
});

test("a mark is overruled with a reason, within what is possible, and the former one is kept", async () => {
  const sheet = await demoSheet();
  const sitting = (await listSittings(services.database, sheet.key)).find((each) => each.label === "S-03");
  const mark = (await listMarks(services.database, [sitting?.key ?? ""])).find(
    (each) => each.earned === 0 && each.possible === 2,
  );
  if (!mark) throw new Error("no mark");
  expect(await overrule(services, mark, who, 1, "")).toMatchObject({ ok: false });
  expect(await overrule(services, mark, who, 5, "generous")).toMatchObject({ ok: false });
  expect(await overrule(services, mark, who, 1, "the idea is right")).toEqual({ ok: true });
  const after = (await listMarks(services.database, [mark.sitting])).find(
    (each) => each.task === mark.task && each.item === mark.item,
  );
  expect(after).toMatchObject({ earned: 1, marker: "teacher", reason: "the idea is right" });
  expect(await listFormer(services.database.query, "mark", `${mark.sitting} ${mark.task} ${mark.item}`)).toHaveLength(
    1,
  );
});

test("a sheet that is set is frozen: a later order makes a new edition, sittings keep theirs", async () => {
  const sheet = await demoSheet();
  const before = await findLastEdition(services.database, sheet.key);
  await moveExercise(services.database, sheet.key, before?.content.exercises[0]?.key ?? "", 1);
  expect((await findLastEdition(services.database, sheet.key))?.content).toEqual(before?.content);
  expect(await setForStudents(services, sheet, true)).toMatchObject({ ok: true });
  const after = await findLastEdition(services.database, sheet.key);
  expect(after?.number).toBe((before?.number ?? 0) + 1);
  expect(after?.content.exercises[1]?.key).toBe(before?.content.exercises[0]?.key);
});

test("closing hands in and marks what students had saved", async () => {
  const sheet = await demoSheet();
  await closeSheet(services, sheet);
  await services.queue.settled();
  const tenth = (await listSittings(services.database, sheet.key)).find((each) => each.label === "S-10");
  expect(tenth?.handed_in_at).not.toBeNull();
  expect(await marksOf("S-10")).toMatchObject({ "boarding.py classify kind": 1 });
});

test("a case without a fix gives no mending task and says why", async () => {
  const { rows } = await listCases(services.database, { judged: false, page: 0 });
  const found = await findCase(services.database, rows[0]?.key ?? "");
  if (!found) throw new Error("no case");
  const made = await makeExercise(services, found, {
    title: "x",
    intro: "",
    replacements: [],
    marks: { mend: 2, predict: 2 },
  });
  expect(made.content.tasks.map((task) => task.kind)).toEqual(["predict"]);
  expect(made.surprises.join(" ")).toContain("not mended yet");
  expect(findLanguage(made.content.language)).toBeDefined();
});
