import { afterAll, beforeAll, expect, test } from "vitest";
import { deckMended } from "../../core/exercises/testExercise.ts";
import { listMarks } from "../../server/marks/markStore.ts";
import { addCourse, moveStudent } from "../../server/people/courseStore.ts";
import { exportStudent } from "../../server/privacy/exportStudent.ts";
import { findSheet } from "../../server/sheets/sheetStore.ts";
import { sheetToSit } from "../../server/sittings/testSheet.ts";
import { openTestServices } from "../../server/testServices.ts";
import { answered, asked, provideServices, textOfPage } from "../askRoute.ts";
import * as bookFile from "../marking/bookFile.ts";
import * as markBook from "../marking/bookPage.tsx";
import * as sheetPage from "../sheets/sheetPage.tsx";
import * as beat from "../sitting/beat.ts";
import * as sit from "../sitting/page.tsx";
import * as sitSave from "../sitting/save.ts";
import * as sitTry from "../sitting/try.ts";
import * as door from "./doorPage.tsx";
import * as room from "./page.tsx";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
});
afterAll(async () => {
  await services.queue.settled();
  await services.close();
});

const second = 1000;

/** A sheet that is set, with everything that teacher and students do there. */
async function begun() {
  const made = await sheetToSit(services.database);
  const found = await findSheet(services.database, made.sheet);
  const code = found?.code ?? "";
  const sheetKey = made.sheet;
  const enter = async (at: number) => {
    const { label = "", personal_code = "" } = made.students[at] ?? {};
    const form = { intent: "enter", label, personalCode: personal_code };
    const { cookie, message } = await answered(sit.action(asked({ code }, { form })));
    if (!cookie) throw new Error(message);
    return cookie;
  };
  const save = (cookie: string, count: number, text: string) => {
    const json = { task: "mend", content: { text }, base: count - 1, writer: "page", count, typedAt: Date.now() };
    return sitSave.action(asked({ code }, { json, cookie }));
  };
  const press = (form: Record<string, string>) => answered(room.action(asked({ sheetKey }, { form })));
  const look = async (path = "/") => room.loader(asked({ sheetKey }, { path }));
  const row = async (at: number) => (await look()).rows[at];
  const hear = (cookie: string, task: string | null = null) => beat.action(asked({ code }, { json: { task }, cookie }));
  return { ...made, sheetKey, code, enter, save, press, look, row, hear };
}

test("who is here, on which task, how far, and who may be stuck; the last real run at a press", async () => {
  const { enter, save, look, row, hear, code } = await begun();
  expect((await look()).rows.map(({ state }) => state)).toEqual(["not begun", "not begun", "not begun"]);
  const cookie = await enter(0);
  expect(await row(0)).toMatchObject({ state: "away", answered: 0, tasks: 2, tries: 0 });
  expect(await hear(cookie, "mend")).toMatchObject({ signedIn: true, open: true, word: "", endsAt: null });
  await save(cookie, 1, deckMended);
  for (let run = 0; run < 3; run++)
    expect(
      await sitTry.action(asked({ code }, { json: { exercise: "e", text: "print(dek)\n", input: "" }, cookie })),
    ).toMatchObject({ ok: true });
  const own = await row(0);
  expect(own).toMatchObject({ state: "here", task: "1. Mend the program", answered: 1, tries: 3 });
  expect(own?.stuck).toBe("the same error in the last 3 runs");
  const page = await look(`/?run=${own?.sitting}`);
  expect(page.lastRun).toMatchObject({ label: "S-01", run: { text: "print(dek)\n", exercise: "e" } });
  const text = textOfPage(room.default, page);
  expect(text).toContain("May be stuck: the same error in the last 3 runs");
  expect(text).toContain("NameError");
  // Another sheet's sitting is shown here to nobody.
  const other = await begun();
  expect((await other.look(`/?run=${own?.sitting}`)).lastRun).toBeNull();
});

test("a page that is nobody's, or says nonsense, is told so and seen by nobody", async () => {
  const { hear, enter, code, row } = await begun();
  expect(await hear("bent-nail-sitting=unknown")).toEqual({ signedIn: false });
  const cookie = await enter(0);
  expect(await beat.action(asked({ code }, { json: [], cookie }))).toMatchObject({ signedIn: true });
  await hear(cookie, "no such task");
  expect(await row(0)).toMatchObject({ state: "here", task: null });
  await beat.action(asked({ code }, { json: { task: "mend", behind: true }, cookie }));
  expect(await row(0)).toMatchObject({ state: "behind", task: "1. Mend the program" });
});

test("a word, a pause and the bell reach everybody who sits the sheet", async () => {
  const { enter, press, hear, code, sheetKey } = await begun();
  const cookie = await enter(0);
  expect(await press({ intent: "word", word: "  Look at line 3. " })).toMatchObject({ ok: true });
  expect(await hear(cookie)).toMatchObject({ word: "Look at line 3." });
  await press({ intent: "pause" });
  expect(await hear(cookie)).toMatchObject({ paused: true, open: true });
  expect(await sitTry.action(asked({ code }, { json: { exercise: "e", text: "x", input: "" }, cookie }))).toMatchObject(
    { ok: false, message: expect.stringContaining("paused") },
  );
  await press({ intent: "go on" });
  await press({ intent: "bell", minutes: "10" });
  const heard = await hear(cookie);
  const left = heard.signedIn && heard.endsAt ? Date.parse(heard.endsAt) - Date.now() : 0;
  expect(Math.round(left / (10 * second))).toBe(60);
  expect(await press({ intent: "bell", minutes: "soon" })).toMatchObject({ status: 400, ok: false });
  await press({ intent: "no bell" });
  expect(await hear(cookie)).toMatchObject({ endsAt: null, paused: false });
  expect(await press({ intent: "word", word: "" })).toMatchObject({ message: "Nothing is said any more." });
  expect((await findSheet(services.database, sheetKey))?.word).toBe("");
});

test("collected, given back, once more; what came late is decided and marked", async () => {
  const { enter, save, press, row, hear, students } = await begun();
  const [first, other] = [await enter(0), await enter(1)];
  await save(first, 1, "in time");
  const key = (await row(0))?.sitting ?? "";
  expect(await press({ intent: "time", sitting: key, minutes: "5" })).toMatchObject({ ok: true });
  expect((await row(0))?.extraMinutes).toBe(5);
  expect(await press({ intent: "once more", sitting: key })).toMatchObject({ ok: false, status: 422 });
  await press({ intent: "close" });
  expect(await row(0)).toMatchObject({
    state: "handed in",
    receipt: { by: "teacher", number: expect.stringMatching(/^\w{4}-\w{4}$/) },
  });
  expect(await save(first, 2, deckMended)).toMatchObject({ result: "late" });
  expect((await row(0))?.late).toBe(1);
  await services.queue.settled();
  const earned = async () => (await listMarks(services.database, [key])).find(({ task }) => task === "mend")?.earned;
  expect(await earned()).toBe(0);
  expect(await press({ intent: "take late", sitting: key })).toMatchObject({
    message: "S-01: 1 late answer count, and are being marked.",
  });
  await services.queue.settled();
  expect([await earned(), (await row(0))?.late]).toEqual([2, 0]);

  expect(await press({ intent: "give back", sitting: key })).toMatchObject({ ok: true });
  expect(await row(0)).toMatchObject({ state: "away", later: true });
  expect(await hear(first)).toMatchObject({ open: true, handedIn: false });
  const second = (await row(1))?.sitting ?? "";
  await press({ intent: "once more", sitting: second });
  expect(await row(1)).toMatchObject({ attempt: 2, state: "away", later: true, answered: 0 });
  expect(await hear(other)).toMatchObject({ handedIn: true });
  expect(await hear(await enter(1))).toMatchObject({ open: true });
  // Who was absent.
  await expect(enter(2)).rejects.toThrow("let you sit it later");
  expect(await press({ intent: "later", student: students[2]?.key ?? "", allowed: "yes" })).toMatchObject({ ok: true });
  expect(await hear(await enter(2))).toMatchObject({ open: true });
  expect(await press({ intent: "collect", sitting: "none" })).toMatchObject({ ok: false });
});

test("a sheet for practice shows marks at once and is done again; the way it is sat is kept", async () => {
  const { enter, save, sheetKey, code, row } = await begun();
  const rules = { intent: "rules", mode: "practice", minutes: "0", oneAtATime: "on", hintCost: "0" };
  expect(await answered(sheetPage.action(asked({ sheetKey }, { form: rules })))).toMatchObject({ ok: true });
  const cookie = await enter(0);
  await save(cookie, 1, deckMended);
  const again = () => answered(sit.action(asked({ code }, { form: { intent: "again" }, cookie })));
  expect(await again()).toMatchObject({ ok: false, message: "Hand this one in first." });
  await sit.action(asked({ code }, { form: { intent: "hand in" }, cookie }));
  await services.queue.settled();
  const { view } = await sit.loader(asked({ code }, { cookie }));
  expect(view).toMatchObject({
    ...{
      totals: { earned: 2, hintsCost: 0 },
      canTryAgain: true,
      attempt: 1,
      rules: { mode: "practice", minutes: null, oneAtATime: true, encouraging: false },
    },
    receipt: { by: "student" },
  });
  const text = textOfPage(sit.default, { view, code, title: "", wording: "" });
  expect(text).toContain("You earned 2 of 3 marks");
  expect(text).toContain(`Receipt ${(await row(0))?.receipt?.number}`);
  const next = (await again()).cookie ?? "";
  expect(next).not.toBe(cookie);
  expect((await sit.loader(asked({ code }, { cookie: next }))).view).toMatchObject({
    attempt: 2,
    answers: {},
    handedIn: false,
  });
  // Asked twice, as by a press that was repeated, it is the same one.
  expect((await again()).cookie).toBe(next);
});

test("a hint says more each time, costs what the sheet says, and never more than the exercise earned", async () => {
  const { enter, save, sheetKey, code, look } = await begun();
  const cookie = await enter(0);
  const hint = (exercise = "e") =>
    answered(sit.action(asked({ code }, { form: { intent: "hint", exercise }, cookie })));
  expect(await hint()).toMatchObject({ ok: false, message: "There are no hints here." });
  const rules = { intent: "rules", mode: "practice", minutes: "0", hints: "on", hintCost: "0.5" };
  await sheetPage.action(asked({ sheetKey }, { form: rules }));
  const page = async () => (await sit.loader(asked({ code }, { cookie }))).view;
  expect((await page())?.exercises[0]?.hints).toMatchObject({ taken: [], left: 3, each: 0.5 });
  expect(JSON.stringify(await page())).not.toContain("The mistake is in line");
  await Promise.all([hint(), hint()]);
  expect((await page())?.exercises[0]?.hints).toMatchObject({ left: 2, cost: 0.5 });
  await hint();
  await hint();
  expect((await page())?.exercises[0]?.hints.taken.at(-1)).toMatch(/^The mistake is in line \d+\.$/);
  expect(await hint()).toMatchObject({ ok: false, message: "There are no more hints for this program." });
  expect(await hint("none")).toMatchObject({ ok: false });
  await save(cookie, 1, deckMended);
  await sit.action(asked({ code }, { form: { intent: "hand in" }, cookie }));
  await services.queue.settled();
  const view = await page();
  expect(view?.totals?.hintsCost).toBe(1.5);
  expect(textOfPage(sit.default, { view, code, title: "", wording: "" })).toContain(
    "You earned 0.5 of 3 marks, with 1.5 taken off for hints",
  );
  expect((await markBook.loader(asked({ sheetKey }))).tables[0]?.rows[0]).toMatchObject({ total: 0.5, marking: null });
  expect((await look()).rows[0]).toMatchObject({ answered: 1, tasks: 2 });

  // Who earned nothing loses nothing.
  const poor = await enter(1);
  const press = (intent: string) => sit.action(asked({ code }, { form: { intent, exercise: "e" }, cookie: poor }));
  await press("hint");
  await press("hand in");
  await services.queue.settled();
  expect((await markBook.loader(asked({ sheetKey }))).tables[0]?.rows[1]).toMatchObject({
    total: 0,
    state: "handed in",
  });
});

test("the mark book goes out as CSV with every try; who has moved to another course stays in it", async () => {
  const { enter, save, sheetKey, code, students, press, row, look } = await begun();
  const cookie = await enter(0);
  await save(cookie, 1, deckMended);
  await sit.action(asked({ code }, { form: { intent: "hand in" }, cookie }));
  await services.queue.settled();
  await press({ intent: "once more", sitting: (await row(0))?.sitting ?? "" });
  const other = await addCourse(services.database, "Terns", "python");
  expect(await moveStudent(services.database, students[0]?.key ?? "", other)).toBeNull();
  const answer = await bookFile.loader(asked({ sheetKey }));
  const text = Buffer.from(await answer.arrayBuffer()).toString("utf8");
  const lines = text.split("\r\n");
  expect(lines[0]).toBe(
    "\ufeffEdition,Student,State,Handed in,1. Where is the fault? (of 1),1. Mend the program (of 2),Total (of 3),Waits",
  );
  expect(lines.slice(1, 5)).toEqual([
    "1,S-02,not begun,,,,,0",
    "1,S-03,not begun,,,,,0",
    expect.stringMatching(/^1,S-01,handed in,\d{4}-\d\d-\d\d \d\d:\d\d,0,2,2,0$/),
    expect.stringMatching(/^1,"?S-01, try 2"?,sitting,,,,,0$/),
  ]);
  expect((await bookFile.loader(asked({ sheetKey: "none" }))).status).toBe(404);
  const page = await markBook.loader(asked({ sheetKey }));
  const shown = (path: string) => textOfPage(markBook.default, page, path);
  expect(shown("/?show=in")).toMatch(/Earned of what could be 0 % 100 % 67 %/);
  expect(shown("/?show=in")).not.toContain("S-02");
  expect(shown("/?show=missing")).toContain("S-02");
  expect((await look()).rows.map(({ label }) => label)).toEqual(["S-02", "S-03", "S-01"]);
});

test("what a student had run and what came late is in the export of everything about them", async () => {
  const { enter, save, press, students, code } = await begun();
  const cookie = await enter(0);
  await sitTry.action(asked({ code }, { json: { exercise: "e", text: "print(7)\n", input: "" }, cookie }));
  await press({ intent: "close" });
  await save(cookie, 1, "late");
  expect(await exportStudent(services.database, students[0]?.key ?? "")).toMatchObject({
    sittings: [
      {
        ...{ attempt: 1, runs: [{ text: "print(7)\n", ended: "It ended by itself." }] },
        cameLate: [{ task: "mend", content: { text: "late" }, decided: null }],
      },
    ],
  });
});

test("a sheet on paper is not typed in", async () => {
  const { enter, sheetKey } = await begun();
  await sheetPage.action(
    asked({ sheetKey }, { form: { intent: "rules", mode: "paper", minutes: "0", hintCost: "0" } }),
  );
  await expect(enter(0)).rejects.toThrow("on paper");
});

test("the way in, large: address, code and a QR code", async () => {
  const { sheetKey, code } = await begun();
  const page = await door.loader(asked({ sheetKey }));
  expect(page).toMatchObject({ code, address: "http://192.168.7.20:4200/s", open: true });
  expect(decodeURIComponent(page.drawn)).toContain("<svg");
  expect(textOfPage(door.default, page)).toContain(code);
  await expect(door.loader(asked({ sheetKey: "none" }))).rejects.toMatchObject({ init: { status: 404 } });
});
