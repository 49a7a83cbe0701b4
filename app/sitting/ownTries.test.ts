import { afterAll, beforeAll, expect, test } from "vitest";
import { deckMended, testExercise } from "../../core/exercises/testExercise.ts";
import { unpackRows } from "../../core/formats/packedTable.ts";
import { addCourse, addStudents, listStudents } from "../../server/people/courseStore.ts";
import { addSheet, findSheet, setSheet, setSheetState } from "../../server/sheets/sheetStore.ts";
import { sittingOfRequest } from "../../server/sittings/access.ts";
import { listTries } from "../../server/sittings/tryStore.ts";
import { openTestServices } from "../../server/testServices.ts";
import { answered, asked, provideServices, textOfPage } from "../askRoute.ts";
import * as markSitting from "../marking/page.tsx";
import * as sit from "./page.tsx";
import * as sitRecord from "./record.ts";
import * as sitSave from "./save.ts";
import * as sitTry from "./try.ts";

const content = testExercise({
  tasks: [
    {
      ...{ key: "predict", kind: "predict", marks: 2, program: "faulty", check: 0 },
      answer: { output: "Deck load: 1\n", echoed: "Deck load: 1\n", ending: "ends by itself" },
    },
    { key: "mend", kind: "mend", marks: 2, allowedExtraLines: 1, extraCost: 0 },
  ],
});

let services: Awaited<ReturnType<typeof openTestServices>>;
let sheet = "";
let code = "";
let cookie = "";
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
  const { database } = services;
  const course = await addCourse(database, "Kittiwake Crossing", "python");
  await addStudents(database, course, ["S-01"]);
  sheet = await addSheet(database, course, "Deck loads");
  await setSheet(database, sheet, { title: "Deck loads", exercises: [{ key: "e", title: "Deck", level: 1, content }] });
  code = (await findSheet(database, sheet))?.code ?? "";
  const [student] = await listStudents(database, course);
  const form = { intent: "enter", label: "S-01", personalCode: student?.personal_code ?? "" };
  cookie = (await answered(sit.action(asked({ code }, { form })))).cookie ?? "";
});
afterAll(() => services.close());

const save = (cookie: string, json: unknown) => sitSave.action(asked({ code }, { json, cookie }));
const sent = (task: string, count: number, content: unknown) => ({
  ...{ task, content, count, base: count - 1, writer: "first page" },
});
const attempt = (cookie: string, json: unknown) => sitTry.action(asked({ code }, { json, cookie }));

test("a run in the student's own browser asks first, and tells what came of it", async () => {
  const own = { exercise: "e", text: "print(dek)\n", input: "" };
  expect(await attempt(cookie, { ...own, here: "begins" })).toMatchObject({
    ok: false,
    message: expect.stringContaining("First write down what you expect"),
  });
  await save(cookie, sent("predict", 1, { output: "Deck load: 1", ending: "ends by itself" }));
  expect(await attempt(cookie, { ...own, here: "begins" })).toEqual({ ok: true, here: true });
  // What was foretold is fixed before anything ran.
  expect(await save(cookie, sent("predict", 2, { output: "Deck load: 7", ending: "ends by itself" }))).toMatchObject({
    result: "refused",
  });
  const crash = `Traceback (most recent call last):\n  File "program.py", line 1, in <module>\n    print(dek)\n          ^^^\nNameError: name 'dek' is not defined\n`;
  const here = { console: { pieces: [{ kind: "err", text: crash }], cut: 0 }, stoppedBy: "fault", messages: crash };
  expect(await attempt(cookie, { ...own, here })).toEqual({ ok: true, here: true });
  const { open } = await sittingOfRequest(
    services,
    new Request("http://local/", { headers: { Cookie: cookie } }),
    code,
  );
  const sitting = open?.sitting.key ?? "";
  const [kept] = await listTries(services.database, sitting);
  expect(kept).toMatchObject({
    text: own.text,
    console: { pieces: [{ text: crash }] },
    ended: "It was stopped by an error. (It ran in the student’s browser.)",
  });
  // It counts as the same mistake as one that the server ran.
  await attempt(cookie, own);
  const both = await listTries(services.database, sitting);
  expect(both.map(({ error }) => error)).toEqual([kept?.error, kept?.error]);
  expect(kept?.error).not.toBe("");
  for (const nonsense of [{ ...here, stoppedBy: "magic" }, { ...here, messages: "x".repeat(20_001) }, "ends"])
    expect(await attempt(cookie, { ...own, here: nonsense })).toMatchObject({ ok: false });
});

const record = (json: unknown) => sitRecord.action(asked({ code }, { json, cookie }));

test("a run is recorded on the server where the browser cannot, also with a value changed on its way", async () => {
  const own = { exercise: "e", text: "load = 4\nload = load + 3\nprint(load)\n", input: "" };
  const reply = await record(own);
  if (!reply.ok) throw new Error(reply.message);
  const rows = unpackRows(reply.packed, reply.columns);
  expect(rows.map(({ line, cells, output }) => [line, cells.load ?? output])).toEqual([
    [1, "4"],
    [2, "7"],
    [3, "7\n"],
  ]);
  expect(reply.ended).toBe("It ended by itself.");
  const changed = await record({ ...own, change: { step: 1, line: 2, put: { name: "load", value: "9" } } });
  if (!changed.ok) throw new Error(changed.message);
  expect(unpackRows(changed.packed, changed.columns).at(-1)?.output).toBe("12\n");
  expect(await record({ ...own, change: { step: 1, line: 2, put: { name: "load", value: "lorry" } } })).toMatchObject({
    ok: false,
    message: expect.stringContaining("could not be given lorry: NameError"),
  });
  expect(await record({ ...own, exercise: "none" })).toMatchObject({ ok: false });
  expect(await record({ ...own, text: "x".repeat(200_001) })).toMatchObject({
    ok: false,
    message: expect.stringContaining("too long"),
  });
  const long = await record({ ...own, text: "for load in range(9000):\n    pass\n" });
  expect(long).toMatchObject({ ok: true, ended: expect.stringContaining("Only the first 3000 rows are here") });
});

test("what a student notes is kept beside the answers, earns nothing, and the teacher reads it", async () => {
  const guess = { line: 2, name: "load", guess: "7", became: "7", right: true };
  const note = { told: "It adds the deck twice.", guesses: [guess] };
  expect(await save(cookie, sent("own e", 1, note))).toEqual({ result: "saved", revision: 1 });
  expect(await save(cookie, { ...sent("own e", 1, { ...note, told: "Other" }), writer: "second page" })).toMatchObject({
    result: "newer",
    content: note,
  });
  expect(await save(cookie, sent("own e", 2, { told: "x".repeat(5001), guesses: [] }))).toMatchObject({
    result: "incomplete",
  });
  expect(await save(cookie, sent("own none", 1, note))).toMatchObject({ result: "refused" });
  const { open } = await sittingOfRequest(
    services,
    new Request("http://local/", { headers: { Cookie: cookie } }),
    code,
  );
  const params = { sheetKey: sheet, sittingKey: open?.sitting.key ?? "" };
  const page = await markSitting.loader(asked(params));
  expect(page.exercises[0]?.note).toEqual(note);
  const text = textOfPage(markSitting.default, page);
  expect(text).toContain("What S-01 noted while looking for it");
  expect(text).toContain("It adds the deck twice.");
  expect(text).toContain("1 of 1 guess right");
  // It is counted among the answers nowhere.
  expect(page.exercises[0]?.tasks.map(({ key }) => key)).toEqual(["predict", "mend"]);
});

test("an exercise in Python says where its interpreter is, and one that is closed runs nowhere", async () => {
  const { view } = await sit.loader(asked({ code }, { cookie }));
  expect(view?.exercises[0]?.runsHere).toMatch(/^\/s\/own-python\/[0-9a-f]+$/);
  await setSheetState(services.database, sheet, "closed");
  expect(await attempt(cookie, { exercise: "e", text: deckMended, input: "", here: "begins" })).toMatchObject({
    ok: false,
    message: expect.stringContaining("closed"),
  });
});
