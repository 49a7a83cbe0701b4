import { afterAll, beforeAll, expect, test } from "vitest";
import { findCase, type WholeCase } from "../../server/cases/caseStore.ts";
import { listExercises } from "../../server/exercises/exerciseStore.ts";
import { addCourse, addStudents, listStudents } from "../../server/people/courseStore.ts";
import { addSheet, findSheet, listPlaced } from "../../server/sheets/sheetStore.ts";
import { openTestServices } from "../../server/testServices.ts";
import { answered, asked, provideServices } from "../askRoute.ts";
import * as casePage from "../case/page.tsx";
import * as casebook from "../casebook/page.tsx";
import * as student from "../courses/studentPage.tsx";
import * as exerciseFromCase from "../exercise/makePage.tsx";
import * as exercise from "../exercise/page.tsx";
import * as sheet from "../sheets/sheetPage.tsx";
import * as tray from "../tray/page.tsx";

let services: Awaited<ReturnType<typeof openTestServices>>;
let courseKey = "";
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
  courseKey = await addCourse(services.database, "Kittiwake Crossing", "python");
  await addStudents(services.database, courseKey, ["S-01"]);
});
afterAll(() => services.close());

const program = "deck = [4, 9]\nprint('Load', deck[2])\n";
const mended = program.replace("2", "1");
const given = {
  fileName: "deck.py",
  language: "python",
  program,
  intent: "collect",
  purpose: "prints the last load",
  expected: "Load 9\n",
  actual: "it stops",
  title: "Load on deck",
};

async function whole(key: string): Promise<WholeCase> {
  const found = await findCase(services.database, key);
  if (!found) throw new Error("no case");
  return found;
}

/** A case taken in by the Tray's form. */
async function collect(more: Record<string, string> = {}): Promise<string> {
  const who = (await listStudents(services.database, courseKey))[0]?.key;
  const form = { ...given, student: `${courseKey}/${who}`, ...more };
  const { location, ...reply } = await answered(tray.action(asked({}, { form })));
  if (!location) throw new Error(JSON.stringify(reply));
  return /cases\/(\w+)/.exec(location)?.[1] ?? "";
}

/** One action of the case page at the case's own revision, if no other is named. */
async function act(key: string, form: Record<string, string>) {
  const { revision } = await whole(key);
  return answered(casePage.action(asked({ caseKey: key }, { form: { revision: String(revision), ...form } })));
}

test.each([
  ["no program", { program: "" }, "program"],
  ["nothing that says what went wrong", { expected: "" }, "result"],
  ["a text that is none", { program: "a\0\0\0\0\0\0\0b" }, "program"],
  [
    "another language's program",
    { fileName: "deck.java", language: "java", program: "deck = [4, 9]\nfor load in deck:\n    print('Load', load)\n" },
    "language",
  ],
])("%s is said beside its field, and nothing is taken in", async (_, more, field) => {
  const before = (await tray.loader(asked({}))).total;
  expect(await answered(tray.action(asked({}, { form: { ...given, ...more } })))).toMatchObject({
    status: 422,
    problems: { [field]: expect.any(String) },
  });
  expect((await tray.loader(asked({}))).total).toBe(before);
});

test.each(["-1", "1e99", "99999999999999999999", "three", "NaN", "0x10", ""])(
  "page %s of a list is some page of it, never a crash",
  async (page) => {
    for (const loader of [tray.loader, casebook.loader])
      expect(await loader(asked({}, { path: `/?page=${page}` }))).toMatchObject({ total: expect.any(Number) });
  },
);

test("a case is decided, its line set, mended and verified; each wrong word is answered, nothing is lost", async () => {
  const key = await collect();
  expect(await act(key, { intent: "decide", class: "beautiful" })).toMatchObject({
    ok: false,
    status: 400,
    message: expect.stringContaining("class"),
  });
  expect(await act(key, { intent: "decide", class: "logic", reason: " " })).toMatchObject({
    ok: false,
    message: expect.stringContaining("needs a reason"),
  });
  expect(await act(key, { intent: "decide", class: "runtime" })).toMatchObject({ ok: true });
  for (const lines of ["", "[", "7", '["a"]', "[0]", "[-1]", "[1.5]", "null"])
    expect(await act(key, { intent: "faulty", lines })).toMatchObject({ ok: false });
  expect(await act(key, { intent: "faulty", lines: "[2]" })).toMatchObject({ ok: true });
  expect(await act(key, { intent: "mend", text: program })).toMatchObject({
    ok: false,
    message: "Nothing was changed yet.",
  });
  expect(await act(key, { intent: "mend", text: mended })).toMatchObject({
    ok: true,
    message: expect.stringContaining("All checks pass"),
  });
  const done = await whole(key);
  expect(done.layers).toMatchObject([{ decided: { class: "runtime" }, faulty_lines: [{ line: 2 }], verified: {} }]);
  expect(await act(key, { intent: "verify" })).toMatchObject({ ok: true });
  expect(await act(key, { intent: "sing" })).toMatchObject({ ok: false, status: 400 });
  await expect(casePage.action(asked({ caseKey: "none" }, { form: { intent: "note" } }))).rejects.toMatchObject({
    init: { status: 404 },
  });
});

test.each(["-1", "0", "7.5", "many", "99999999999999999", ""])(
  "a page with the revision %s changes nothing",
  async (revision) => {
    const key = await collect();
    const before = await whole(key);
    const forms: Array<Record<string, string>> = [
      { intent: "decide", class: "runtime" },
      { intent: "faulty", lines: "[2]" },
      { intent: "mend", text: mended },
      { intent: "note", note: "x" },
      { intent: "check", input: "", expected: "x", kind: "normal" },
      { intent: "worked", key: before.current_version, worked: "yes" },
      { intent: "warning", about: "x", decision: "hide", note: "" },
      { intent: "add output", text: "x", origin: "x" },
      { intent: "describe", title: "x", purpose: "x", student: "", language: "c" },
    ];
    for (const form of forms) {
      const reply = await act(key, { ...form, revision });
      expect([form.intent, reply.ok, reply.status]).toEqual([form.intent, false, revision === "0" ? 409 : 400]);
    }
    expect(await whole(key)).toEqual(before);
  },
);

test("checks, notes and outputs are kept with their lines as they are; a file's name that leads out is refused", async () => {
  const key = await collect();
  expect(await act(key, { intent: "check", input: "1\r\n2\r\n", expected: "x\r\n", kind: "boundary" })).toMatchObject({
    ok: true,
  });
  expect((await whole(key)).checks[1]).toMatchObject({ input: "1\n2\n", expected: "x\n", kind: "boundary" });
  expect(
    await act(key, { intent: "check", kind: "normal", input: "", fileName: "../etc/passwd", fileText: "x" }),
  ).toMatchObject({
    ok: false,
    message: expect.stringContaining("leads out"),
  });
  expect(await act(key, { intent: "remove check", key: (await whole(key)).checks[1]?.key ?? "" })).toMatchObject({
    ok: true,
  });
  expect((await whole(key)).checks).toHaveLength(1);
  expect(await act(key, { intent: "note", note: "ask <b>again</b>\0" })).toMatchObject({ ok: true });
  expect((await whole(key)).note).toBe("ask <b>again</b>\0");
  expect(await act(key, { intent: "add output", text: "  ", origin: "x" })).toMatchObject({ ok: false });
  expect(
    await act(key, { intent: "add output", text: "IndexError: list index out of range", origin: "another window" }),
  ).toMatchObject({ ok: true });
  expect((await whole(key)).outputs).toMatchObject([{ origin: "another window" }]);
});

test("put away and taken back; a page that came from nowhere leads to the Casebook", async () => {
  const key = await collect();
  const away = await answered(casebook.action(asked({}, { form: { intent: "delete", case: key } })));
  expect(away.location).toBe(`/casebook?away=${key}`);
  expect((await whole(key)).deleted_at).not.toBeNull();
  await casebook.action(asked({}, { form: { case: key, intent: "restore" } }));
  expect((await whole(key)).deleted_at).toBeNull();
});

test("an exercise is made with marks within bounds, placed on a sheet, and a stale page overwrites nothing", async () => {
  const key = await collect();
  await act(key, { intent: "decide", class: "runtime" });
  await act(key, { intent: "mend", text: mended });
  const form = { intent: "make", title: "Load", intro: "Mend it.", "with classify": "on", "marks classify": "100" };
  const make = (more: Record<string, string>) =>
    answered(exerciseFromCase.action(asked({ caseKey: key }, { form: { ...form, ...more } })));
  for (const [more, words] of [
    [{ "marks classify": "1e9" }, "whole numbers from 0 to 100"],
    [{ "marks classify": "-4" }, "whole numbers from 0 to 100"],
    [{ "with point": "on", "marks point": "three" }, "whole numbers from 0 to 100"],
    [{ "with point": "on" }, "whole numbers from 0 to 100"],
    [{ "marks classify": "0" }, "Tick at least one task"],
  ] as const)
    expect(await make(more)).toMatchObject({ status: 422, message: expect.stringContaining(words) });
  expect(await make({ title: " " })).toMatchObject({ status: 422, problems: { title: expect.any(String) } });
  expect(await make({ intent: "bake" })).toMatchObject({ status: 400 });
  expect(await listExercises(services.database)).toEqual([]);
  // Marks of a kind that is not ticked are nobody's business.
  expect((await make({ "marks mend": "three" })).location).toMatch(/^\/exercises\//);
  const [own] = await listExercises(services.database);
  const exerciseKey = own?.key ?? "";
  const page = await exercise.loader(asked({ exerciseKey }));
  expect(page.tasks.map((task) => [task.kind, task.marks])).toEqual([["classify", 100]]);
  const change = (more: Record<string, string>) =>
    answered(
      exercise.action(
        asked(
          { exerciseKey },
          { form: { intent: "marks", task: page.tasks[0]?.key ?? "", revision: String(page.revision), ...more } },
        ),
      ),
    );
  expect(await change({ marks: "3" })).toMatchObject({ ok: true });
  expect(await change({ marks: "4" })).toMatchObject({ ok: false, message: expect.stringContaining("another window") });
  expect(await change({ intent: "paint" })).toMatchObject({ ok: false });
  expect((await exercise.loader(asked({ exerciseKey }))).tasks[0]?.marks).toBe(3);

  // Changed by hand, it is run again: what does not hold is said, and nothing is kept then.
  const { revision } = await exercise.loader(asked({ exerciseKey }));
  const prove = (program: string, own: number) =>
    change({ intent: "prove", program, mended: page.mended, revision: String(own) });
  expect(await prove(page.mended, revision)).toMatchObject({
    ok: false,
    message: expect.stringContaining("Nothing was"),
  });
  expect(await prove(" ", revision)).toMatchObject({ ok: false });
  expect((await exercise.loader(asked({ exerciseKey }))).program).toBe(page.program);
  const slip = page.program.replace(/print\(/, "prnt(");
  expect(await prove(slip, revision)).toMatchObject({ ok: true });
  const proven = await exercise.loader(asked({ exerciseKey }));
  expect(proven.program).toBe(slip);
  expect(proven.tasks.map((task) => [task.kind, task.marks])).toEqual([["classify", 3]]);
  const made = await change({ intent: "twin", seed: "2" });
  const twinKey = made.location?.split("/").at(-1) ?? "";
  const twin = await exercise.loader(asked({ exerciseKey: twinKey }));
  expect(twin.title).toContain("(scene 2)");
  expect(twin.program).not.toBe(slip);
  expect(twin.faultyLines).toEqual(proven.faultyLines);

  const sheetKey = await addSheet(services.database, courseKey, "Deck");
  const put = (more: Record<string, string>) =>
    answered(sheet.action(asked({ sheetKey }, { form: { exercise: exerciseKey, ...more } })));
  expect(await put({ intent: "set" })).toMatchObject({ message: "There is no exercise on this sheet yet." });
  await put({ intent: "on" });
  for (const [level, status, kept] of [
    ["3", 200, 3],
    ["99", 400, 3],
    ["-2", 400, 3],
    ["high", 400, 3],
    ["0", 200, null],
  ] as const) {
    expect((await put({ intent: "level", level })).status).toBe(status);
    expect((await listPlaced(services.database, sheetKey))[0]?.level).toBe(kept);
  }
  expect(await put({ intent: "set" })).toMatchObject({ message: "It is set. Students can begin." });
  expect((await findSheet(services.database, sheetKey))?.state).toBe("set");
});

test("a student's page replaces a name, renames, and refuses a label that is taken", async () => {
  await addStudents(services.database, courseKey, ["Tern"]);
  const tern = (await listStudents(services.database, courseKey)).find((each) => each.label === "Tern")?.key ?? "";
  const page = await student.loader(asked({ courseKey, studentKey: tern }));
  expect(JSON.stringify(page)).toContain("Tern");
  await expect(student.loader(asked({ courseKey, studentKey: "none" }))).rejects.toMatchObject({
    init: { status: 404 },
  });
});
