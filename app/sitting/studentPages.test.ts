import { afterAll, beforeAll, expect, test } from "vitest";
import { deckMended, deckProgram, testExercise } from "../../core/exercises/testExercise.ts";
import { findFirstAssignment, insertAssignment, setHandIn } from "../../server/assignments/assignmentStore.ts";
import { listMarks } from "../../server/marks/markStore.ts";
import { addCourse, addStudents, listStudents, type Student } from "../../server/people/courseStore.ts";
import { addSheet, findSheet, setSheet, setSheetState } from "../../server/sheets/sheetStore.ts";
import { listSittings } from "../../server/sittings/sittingStore.ts";
import { openTestServices } from "../../server/testServices.ts";
import { answered, asked, provideServices } from "../askRoute.ts";
import * as course from "../courses/coursePage.tsx";
import * as handInCall from "../handIn/call.ts";
import * as handIn from "../handIn/page.tsx";
import * as receipt from "../handIn/receiptPage.tsx";
import * as markBook from "../marking/bookPage.tsx";
import * as markSitting from "../marking/page.tsx";
import * as runs from "../runs/runs.ts";
import * as sitEnter from "./enterPage.tsx";
import * as sit from "./page.tsx";
import * as sitSave from "./save.ts";
import * as sitTry from "./try.ts";

const mended = deckMended;
const content = testExercise({
  tasks: [
    {
      key: "predict",
      kind: "predict",
      marks: 2,
      program: "faulty",
      check: 0,
      answer: { output: "Deck load: 1\n", echoed: "Deck load: 1\n", ending: "ends by itself" },
    },
    { key: "mend", kind: "mend", marks: 2, allowedExtraLines: 1, extraCost: 0 },
  ],
});

let services: Awaited<ReturnType<typeof openTestServices>>;
let courseKey = "";
let sheetKey = "";
let code = "";
let handInCode = "";
let students: Student[] = [];
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
  const { database } = services;
  courseKey = await addCourse(database, "Kittiwake Crossing", "python");
  await addStudents(database, courseKey, ["S-01", "S-02", "S-03", "S-04"]);
  const assignment = await insertAssignment(database.query, courseKey, { title: "Deck", statement: "Add the loads." });
  await setHandIn(database, assignment, true);
  students = await listStudents(database, courseKey);
  handInCode = (await findFirstAssignment(database, courseKey))?.hand_in_code ?? "";
  sheetKey = await addSheet(database, courseKey, "Deck loads");
  await setSheet(database, sheetKey, {
    title: "Deck loads",
    exercises: [{ key: "e", title: "Deck", level: 1, content }],
  });
  code = (await findSheet(database, sheetKey))?.code ?? "";
});
afterAll(async () => {
  // What was handed in is judged behind the page.
  await services.queue.settled();
  await services.close();
});

/** Lets a student in and gives the cookie of the sitting. */
async function enter(at: number, address = `10.0.1.${at}`): Promise<string> {
  const student = students[at];
  const form = { intent: "enter", label: student?.label ?? "", personalCode: student?.personal_code ?? "" };
  const { cookie, message } = await answered(sit.action(asked({ code }, { form, address })));
  if (!cookie) throw new Error(message);
  return cookie;
}
const save = (cookie: string, json: unknown) => sitSave.action(asked({ code }, { json, cookie }));
/** An answer as the first page of a student's browser sends it: its `count`th one, written upon the ones before. */
const sent = (task: string, count: number, content: unknown) => ({
  ...{ task, content, count },
  ...{ base: count - 1, writer: "first page" },
});
const attempt = (cookie: string, json: unknown) => sitTry.action(asked({ code }, { json, cookie }));

test("the page to enter names the labels and nothing of the exercises; a wrong code is said", async () => {
  const page = await sit.loader(asked({ code }));
  expect(page).toEqual({ view: null, code, title: "Deck loads", labels: ["S-01", "S-02", "S-03", "S-04"] });
  const wrong = { intent: "enter", label: "S-01", personalCode: "AAAA-AA" };
  expect(await answered(sit.action(asked({ code }, { form: wrong })))).toMatchObject({
    status: 422,
    message: expect.stringContaining("do not belong together"),
  });
  await expect(sit.loader(asked({ code: "NONE-0000" }))).rejects.toMatchObject({ init: { status: 404 } });
});

test("the code of a sheet leads to it, and an unknown one gets words", async () => {
  const lookUp = (typed: string) => answered(sitEnter.action(asked({}, { form: { intent: "look up", code: typed } })));
  expect((await lookUp(code.toLowerCase())).location).toBe(`/s/${code}`);
  expect(await lookUp("NONE-0000")).toMatchObject({ status: 422, message: expect.stringContaining("no sheet") });
  expect(await lookUp("x".repeat(101))).toMatchObject({ status: 400 });
});

test("a cookie that is not encoded, or nobody's, is a student who has not entered", async () => {
  for (const cookie of [
    "bent-nail-sitting=%",
    "bent-nail-sitting=%zz%",
    "bent-nail-sitting=unknown",
    "other=1; bent-nail-sitting=",
  ]) {
    expect(await sit.loader(asked({ code }, { cookie }))).toMatchObject({ view: null });
    expect(await save(cookie, sent("mend", 1, { text: "x" }))).toMatchObject({
      result: "signed out",
      message: expect.stringContaining("not signed in"),
    });
  }
});

test("answers are saved; what cannot be read, is unknown, older or too long is refused with words and loses nothing", async () => {
  const cookie = await enter(0);
  expect(await save(cookie, sent("mend", 1, { text: mended }))).toEqual({ result: "saved", revision: 1 });
  // The same one again, as after an answer that was lost on its way, changes nothing.
  expect(await save(cookie, sent("mend", 1, { text: mended }))).toEqual({ result: "saved", revision: 1 });
  expect(await save(cookie, { ...sent("mend", 1, { text: "older" }), writer: "another page" })).toMatchObject({
    ...{ result: "newer", revision: 1, content: { text: mended } },
  });
  for (const json of [
    null,
    [],
    "mend",
    { ...sent("mend", 2, { text: "x" }), base: -1 },
    { ...sent("mend", 2, { text: "x" }), count: 1.5 },
    { ...sent("mend", 2, { text: "x" }), writer: "" },
    sent("none", 2, { text: "x" }),
  ])
    expect(await save(cookie, json)).toMatchObject({ result: "refused" });
  for (const content of [{ text: "x".repeat(200_001) }, 7])
    expect(await save(cookie, sent("mend", 2, content))).toMatchObject({ result: "incomplete" });
  const page = await sit.loader(asked({ code }, { cookie }));
  expect(page.view?.answers.mend).toMatchObject({ revision: 1, content: { text: mended } });
  // The mended line is in the student's own answer, and nowhere in what the page holds of the exercise.
  expect(JSON.stringify(page.view?.exercises)).toContain("deck - 3");
  expect(JSON.stringify(page.view?.exercises)).not.toContain("deck + 3");
  // Before release there is nothing about marks in the page, not even an empty place for them.
  expect(JSON.stringify(page.view)).not.toMatch(/earned|totals|hintsCost/);
});

test("a program is tried after the output was foretold; then the foretelling stays", async () => {
  const cookie = await enter(1);
  const tried = { exercise: "e", text: mended, input: "" };
  expect(await attempt(cookie, tried)).toMatchObject({
    ok: false,
    message: expect.stringContaining("First write down what you expect"),
  });
  expect(await save(cookie, sent("predict", 1, { output: "Deck load: 1", ending: "ends by itself" }))).toMatchObject({
    result: "saved",
  });
  expect(await attempt(cookie, tried)).toMatchObject({
    ok: true,
    ended: "It ended by itself.",
    console: { pieces: [{ text: "Deck load: 7\n" }] },
  });
  expect(await save(cookie, sent("predict", 2, { output: "Deck load: 7", ending: "ends by itself" }))).toMatchObject({
    result: "refused",
  });
  expect(await attempt(cookie, { ...tried, exercise: "none" })).toMatchObject({
    ok: false,
    message: expect.stringContaining("no such exercise"),
  });
  expect(await attempt(cookie, { exercise: "e", text: "x".repeat(200_001), input: "" })).toMatchObject({
    ok: false,
    message: expect.stringContaining("too long"),
  });
  expect(await attempt(cookie, "nonsense")).toMatchObject({ ok: false });
});

test("a try that tells nothing says why, and the text is safe", async () => {
  const cookie = await enter(1);
  const python = services.toolchains.find("python");
  if (!python) throw new Error("no Python");
  const { run } = python;
  python.run = async (request) => ({
    ...(await run(request)),
    stoppedBy: "not taken",
    trouble: "This run waited 60 seconds.",
  });
  try {
    const reply = await attempt(cookie, { exercise: "e", text: mended, input: "" });
    expect(reply).toMatchObject({ ok: false, message: expect.stringMatching(/waited 60 seconds.*saved all the same/) });
  } finally {
    python.run = run;
  }
});

test("nobody's runs are shown to nobody, and a run that is not there cannot be stopped", async () => {
  expect(runs.loader(asked({}))).toEqual({ runs: [] });
  expect(await answered(runs.action(asked({}, { form: { intent: "stop", id: "none" } })))).toMatchObject({
    ok: false,
    message: "This run has ended already.",
  });
});

test("handed in, marked, marked again from the mark book and from the student's page; a teacher's mark stays", async () => {
  const { database } = services;
  const cookie = await enter(0);
  await sit.action(asked({ code }, { form: { intent: "hand in" }, cookie }));
  const [sitting] = (await listSittings(database, sheetKey)).filter((each) => each.handed_in_at !== null);
  const key = sitting?.key ?? "";
  expect(await save(cookie, sent("mend", 2, { text: "x" }))).toMatchObject({
    ...{ result: "late", message: expect.stringContaining("your teacher decides") },
  });
  expect(await attempt(cookie, { exercise: "e", text: mended, input: "" })).toMatchObject({ ok: false });
  await services.queue.settled();
  const book = await markBook.loader(asked({ sheetKey }));
  expect([book.again, book.tables[0]?.rows[0]]).toMatchObject([
    0,
    { label: "S-01", state: "handed in", marking: null, total: 2 },
  ]);

  await database.query("delete from mark where sitting = $1 and task = 'mend'", [key]);
  expect(await markBook.loader(asked({ sheetKey }))).toMatchObject({
    again: 1,
    tables: [{ number: 1, rows: [{ marking: "not marked" }, {}, {}, {}] }],
  });
  expect(await answered(markBook.action(asked({ sheetKey }, { form: { intent: "mark again" } })))).toMatchObject({
    ok: true,
  });
  expect(await answered(markBook.action(asked({ sheetKey }, { form: {} })))).toMatchObject({ status: 400, ok: false });
  await expect.poll(async () => (await markBook.loader(asked({ sheetKey }))).again, { timeout: 300_000 }).toBe(0);

  const own = { sheetKey, sittingKey: key };
  const mark = { task: "mend", item: "fault 1" };
  expect(
    await answered(markSitting.action(asked(own, { form: { intent: "give", ...mark, earned: "7", reason: "x" } }))),
  ).toMatchObject({
    ok: false,
    message: expect.stringContaining("from 0 to 2"),
    status: 422,
  });
  expect(
    await answered(markSitting.action(asked(own, { form: { intent: "give", ...mark, earned: "many", reason: "x" } }))),
  ).toMatchObject({
    ok: false,
  });
  expect(
    await answered(markSitting.action(asked(own, { form: { intent: "give", ...mark, earned: "1", reason: " " } }))),
  ).toMatchObject({
    ok: false,
    message: expect.stringContaining("reason"),
  });
  expect(
    await answered(
      markSitting.action(asked(own, { form: { intent: "give", task: "none", item: "none", earned: "1" } })),
    ),
  ).toMatchObject({
    ok: false,
  });
  expect(
    await answered(
      markSitting.action(asked(own, { form: { intent: "give", ...mark, earned: "1.5", reason: "the idea" } })),
    ),
  ).toMatchObject({ ok: true, status: 200 });
  expect(await answered(markSitting.action(asked(own, { form: { intent: "mark again" } })))).toMatchObject({
    ok: true,
  });
  await services.queue.settled();
  expect((await listMarks(database, [key])).find((each) => each.task === "mend")).toMatchObject({
    earned: 1.5,
    marker: "teacher",
  });
  const page = await markSitting.loader(asked(own));
  expect(page).toMatchObject({
    label: "S-01",
    handedIn: true,
    exercises: [{ tasks: [{ key: "predict" }, { key: "mend", items: [{ earned: 1.5, former: 1 }] }] }],
  });
  await expect(markSitting.loader(asked({ ...own, sittingKey: "none" }))).rejects.toMatchObject({
    init: { status: 404 },
  });
});

test("what is not handed in is not marked, and a closed sheet takes nothing", async () => {
  const cookie = await enter(2);
  const sitting = (await listSittings(services.database, sheetKey)).find((each) => each.label === "S-03");
  expect(
    await answered(
      markSitting.action(asked({ sheetKey, sittingKey: sitting?.key ?? "" }, { form: { intent: "mark again" } })),
    ),
  ).toMatchObject({ ok: false });
  await setSheetState(services.database, sheetKey, "closed");
  expect(await save(cookie, sent("mend", 1, { text: "x" }))).toMatchObject({ result: "late" });
  await expect(enter(3)).rejects.toThrow("Your teacher can let you sit it later");
  await setSheetState(services.database, sheetKey, "set");
});

test("a label that is slowed down is seen on the course's page and let in again there", async () => {
  for (let tries = 0; tries < 10; tries += 1)
    await sit.action(
      asked({ code }, { form: { intent: "enter", label: "S-04", personalCode: "AAAA-AA" }, address: "10.9.9.9" }),
    );
  const seen = async () => (await course.loader(asked({ courseKey }))).students.map((student) => student.slowed);
  expect((await seen())[3]).toEqual([{ address: "10.9.9.9", wrong: 10, minutes: 10 }]);
  await expect(enter(3, "10.9.9.9")).rejects.toThrow("Too many wrong codes");
  expect(await enter(3, "10.9.9.8")).toContain("bent-nail-sitting=");
  expect(await answered(course.action(asked({ courseKey }, { form: { intent: "let in", label: "S-04" } })))).toEqual({
    ok: true,
    status: 200,
    message: "S-04 can try again.",
    intent: "let in",
  });
  expect((await seen())[3]).toEqual([]);
  expect(await enter(3, "10.9.9.9")).toContain("bent-nail-sitting=");
});

test("labels that are there already are not added twice, whatever stands between them", async () => {
  expect(
    await answered(
      course.action(asked({ courseKey }, { form: { intent: "students", labels: "S-04\n S-05 ;S-06,,\n" } })),
    ),
  ).toMatchObject({
    message: "2 added; 1 were in the course already.",
  });
  await expect(course.loader(asked({ courseKey: "none" }))).rejects.toMatchObject({ init: { status: 404 } });
});

const answers = {
  student: "S-01",
  intent: "adds the loads",
  instead: "prints 1",
  program: deckProgram,
  fileName: "deck.py",
};

test("a program is handed in by the page, added to by its receipt, and refused with words where something is missing", async () => {
  const personal = students[0]?.personal_code ?? "";
  expect(await handIn.loader(asked({ code: handInCode }))).toMatchObject({
    open: true,
    task: "Add the loads.",
    labels: expect.arrayContaining(["S-01"]),
  });
  const post = (form: Record<string, string>) =>
    handIn.action(asked({ code: handInCode }, { form: { ...answers, code: personal, ...form } }));
  // What the assignment states nobody is asked for.
  expect(await post({ intent: "", instead: "" })).toEqual({ problems: { instead: expect.any(String) } });
  expect(await post({ output: "x".repeat(400_001) })).toMatchObject({
    problems: { output: expect.stringContaining("400 000") },
  });
  expect(await post({ input: "x".repeat(200_001) })).toMatchObject({
    problems: { "": expect.stringContaining("too long") },
  });
  const taken = await post({});
  const address = taken instanceof Response ? (taken.headers.get("location") ?? "") : "";
  expect(address).toMatch(/^\/s\/receipt\//);
  const own = { receipt: address.split("/").at(-1) ?? "" };
  expect(
    await answered(receipt.action(asked(own, { form: { intent: "add", words: "line 2", output: "" } }))),
  ).toMatchObject({ ok: true });
  expect(
    await answered(receipt.action(asked(own, { form: { intent: "add", words: "x".repeat(20_001), output: "" } }))),
  ).toMatchObject({
    ok: false,
    message: expect.stringContaining("fewer words"),
  });
  expect(
    await answered(receipt.action(asked(own, { form: { intent: "add", words: "", output: "x".repeat(400_001) } }))),
  ).toMatchObject({
    ok: false,
  });
  expect(await receipt.loader(asked(own))).toMatchObject({ additions: ["line 2"], versions: [{ name: "deck.py" }] });
  await expect(receipt.loader(asked({ receipt: "NONE-0000" }))).rejects.toMatchObject({ init: { status: 404 } });
});

test("a call from a terminal is answered in one line or in JSON, with the status that fits", async () => {
  const call = async (json: unknown, to = handInCode) => {
    const response = await handInCall.action(asked({ code: to }, { json }));
    return [response.status, await response.text()] as const;
  };
  const personal = students[1]?.personal_code ?? "";
  const given = { student: " S-02 ", code: personal, program: "print(crs)\n", fileName: "cars.py" };
  expect(await call(given)).toEqual([201, expect.stringContaining("Your number is")]);
  expect(await call({ ...given, program: "print(cars)\n" })).toEqual([201, expect.stringContaining("Handed in again")]);
  expect(await call({ ...given, program: "" })).toEqual([422, expect.stringContaining("program is missing")]);
  expect(await call({ ...given, program: 7 })).toEqual([400, expect.stringContaining("program")]);
  expect(await call([])).toEqual([400, expect.stringContaining("neither a form nor JSON")]);
  expect(await call(given, "NONE-0000")).toEqual([404, expect.stringContaining("no course")]);
  expect(handInCall.loader(asked({ code: handInCode })).status).toBe(405);
});
