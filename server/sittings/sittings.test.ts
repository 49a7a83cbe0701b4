import fc from "fast-check";
import { afterAll, beforeAll, expect, test } from "vitest";
import { testExercise } from "../../core/exercises/testExercise.ts";
import {
  findAssignmentByHandIn,
  findFirstAssignment,
  insertAssignment,
  setHandIn,
} from "../assignments/assignmentStore.ts";
import { collectCase } from "../cases/caseStore.ts";
import { addExercise } from "../exercises/exerciseStore.ts";
import { addCourse, addStudents, listStudents, renewCode, type Student } from "../people/courseStore.ts";
import {
  addSheet,
  findSheet,
  listEditions,
  listPlaced,
  moveExercise,
  placeExercise,
  releaseMarks,
  removeExercise,
  setLevel,
  setSheet,
  setSheetState,
} from "../sheets/sheetStore.ts";
import { openTestServices } from "../testServices.ts";
import { changeEdition, enterSitting, readCookie, sittingCookie, sittingOfRequest } from "./access.ts";
import {
  beginSitting,
  findSitting,
  handIn,
  handInAll,
  listAnswers,
  listSittings,
  passOf,
  saveAnswer,
} from "./sittingStore.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
let course = "";
let sheetKey = "";
let students: Student[] = [];
beforeAll(async () => {
  services = await openTestServices();
  course = await addCourse(services.database, "Kittiwake Crossing", "python");
  await addStudents(services.database, course, ["S-01", "S-02", "S-03"]);
  students = await listStudents(services.database, course);
  sheetKey = await addSheet(services.database, course, "Loads");
});
afterAll(() => services.close());

const sheet = async () => {
  const found = await findSheet(services.database, sheetKey);
  if (!found) throw new Error("no sheet");
  return found;
};
const student = (label: string) => {
  const found = students.find((each) => each.label === label);
  if (!found) throw new Error(label);
  return found;
};
const enter = async (label: string, code: string, address = "10.0.0.1") =>
  enterSitting(services, await sheet(), label, code, address);
const set = () => setSheet(services.database, sheetKey, { title: "Loads", exercises: [] });
const withCookie = (value: string) =>
  new Request("http://local/s", { headers: { Cookie: `a=1; ${sittingCookie}=${value}` } });

test("a sheet that was never set lets nobody in; then label and code do, and a wrong one does not say which was wrong", async () => {
  const { personal_code } = student("S-01");
  expect(await enter("S-01", personal_code)).toEqual({ ok: false, message: "This sheet is not open yet." });
  await set();
  const wrong = await enter("S-01", "AAAA-0000");
  expect(await enter("S-09", personal_code)).toEqual(wrong);
  expect(wrong).toMatchObject({ ok: false, message: expect.stringContaining("do not belong together") });
  const first = await enter("S-01", personal_code.toLowerCase());
  expect(first.ok).toBe(true);
  // Whoever comes back, from wherever, has the same sitting.
  expect(await enter(" S-01 ", personal_code, "10.0.0.2")).toEqual(first);
});

test("two windows that begin at once begin one sitting", async () => {
  const [edition] = await listEditions(services.database, sheetKey);
  const begun = await Promise.all(
    Array.from({ length: 8 }, () => beginSitting(services.database, edition?.key ?? "", student("S-02").key)),
  );
  expect(new Set(begun).size).toBe(1);
});

test("the newest answer stays, in whatever order saves arrive", async () => {
  const [edition] = await listEditions(services.database, sheetKey);
  const sitting = await beginSitting(services.database, edition?.key ?? "", student("S-03").key);
  let task = 0;
  await fc.assert(
    fc.asyncProperty(fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1, maxLength: 8 }), async (revisions) => {
      task += 1;
      const name = `task ${task}`;
      let newest = 0;
      for (const revision of revisions) {
        const said = await saveAnswer(services.database, sitting, name, revision, { revision });
        expect(said).toBe(revision > newest ? "saved" : "older");
        newest = Math.max(newest, revision);
      }
      const kept = (await listAnswers(services.database, sitting)).find((answer) => answer.task === name);
      expect(kept).toMatchObject({ revision: newest, content: { revision: newest } });
    }),
    { numRuns: 25 },
  );
});

test("what is handed in takes no more answers, and is handed in once", async () => {
  const [edition] = await listEditions(services.database, sheetKey);
  const sitting = await beginSitting(services.database, edition?.key ?? "", student("S-03").key);
  expect(await saveAnswer(services.database, sitting, "point", 1, "Straße “4”\n")).toBe("saved");
  expect([await handIn(services.database, sitting), await handIn(services.database, sitting)]).toEqual([true, false]);
  expect(await saveAnswer(services.database, sitting, "point", 2, "late")).toBe("handed in");
  expect(await saveAnswer(services.database, "nobody", "point", 1, "x")).toBe("handed in");
  const answers = await listAnswers(services.database, sitting);
  expect(answers.find((answer) => answer.task === "point")?.content).toBe("Straße “4”\n");
  // Closing hands in the others, and not this one again.
  const others = await handInAll(services.database.query, sheetKey);
  expect(others).not.toContain(sitting);
  const all = await listSittings(services.database, sheetKey);
  expect(all.map((each) => [each.label, each.handed_in_at !== null])).toEqual([
    ["S-01", true],
    ["S-02", true],
    ["S-03", true],
  ]);
});

test("a new edition is begun by a press while the sheet is open, and the old one stays where it was", async () => {
  await set();
  const entered = await enter("S-01", student("S-01").personal_code);
  const key = entered.ok ? entered.sitting : "";
  const pass = await passOf(services.database, key);
  const { open } = await sittingOfRequest(services, withCookie(pass), (await sheet()).code);
  if (!open) throw new Error("not signed in");
  expect(open.edition.number).toBe(1);
  for (const number of [0, 3, -1]) expect(await changeEdition(services, open, number)).toMatchObject({ ok: false });
  const second = await changeEdition(services, open, 2);
  expect(second.ok && (await findSitting(services.database, second.sitting))?.handed_in_at).toBeNull();
  expect(await changeEdition(services, open, 1)).toEqual({ ok: true, sitting: key });
  await setSheetState(services.database, sheetKey, "closed");
  await set();
  await setSheetState(services.database, sheetKey, "closed");
  const { open: closed } = await sittingOfRequest(services, withCookie(pass), (await sheet()).code);
  if (!closed) throw new Error("not signed in");
  expect(await changeEdition(services, closed, 3)).toMatchObject({ ok: false });
  expect(await changeEdition(services, closed, 2)).toEqual(second);
});

test("marks are released by edition: a later one is none of it", async () => {
  await releaseMarks(services.database, sheetKey, true);
  const before = await listEditions(services.database, sheetKey);
  expect(before.every((edition) => edition.released_at !== null)).toBe(true);
  await set();
  const after = await listEditions(services.database, sheetKey);
  expect(after.map((edition) => edition.released_at !== null)).toEqual([...before.map(() => true), false]);
  await releaseMarks(services.database, sheetKey, false);
  expect((await listEditions(services.database, sheetKey)).some((edition) => edition.released_at !== null)).toBe(false);
});

test.each(["", "nobody", "%", "%zz", "a=b", "../../etc", "\u00e9".repeat(300)])(
  "the cookie %j is nobody's",
  async (value) => {
    const request = new Request("http://local/s", { headers: { Cookie: `${sittingCookie}=${encodeURI(value)}` } });
    const { sheet: found, open } = await sittingOfRequest(services, request, (await sheet()).code);
    expect([found?.key, open]).toEqual([sheetKey, null]);
  },
);

test("a new personal code signs out whoever was signed in with the old one; a key without its pass opens nothing", async () => {
  const { database } = services;
  const { key, personal_code } = student("S-01");
  const entered = await enter("S-01", personal_code);
  if (!entered.ok) throw new Error("not entered");
  const { code } = await sheet();
  const opens = async (value: string) => (await sittingOfRequest(services, withCookie(value), code)).open?.sitting.key;
  const pass = await passOf(database, entered.sitting);
  expect(await opens(pass)).toBe(entered.sitting);
  for (const other of [entered.sitting, `${entered.sitting}.`, `${entered.sitting}.${"0".repeat(24)}`, `x.${pass}`])
    expect(await opens(other)).toBeUndefined();
  await renewCode(database, key);
  expect(await opens(pass)).toBeUndefined();
  expect(await opens(await passOf(database, entered.sitting))).toBe(entered.sitting);
  await database.query("update student set personal_code = $2 where key = $1", [key, personal_code]);
});

test("a sitting of another sheet opens nothing here; a code that leads nowhere finds no sheet", async () => {
  const other = await addSheet(services.database, course, "Tides");
  await setSheet(services.database, other, { title: "Tides", exercises: [] });
  const code = (await findSheet(services.database, other))?.code ?? "";
  const [own] = await listSittings(services.database, sheetKey);
  const pass = await passOf(services.database, own?.key ?? "");
  expect(await sittingOfRequest(services, withCookie(pass), code)).toMatchObject({ open: null });
  expect(await sittingOfRequest(services, withCookie(pass), "NONE-0000")).toEqual({
    sheet: null,
    open: null,
  });
  expect(readCookie(new Request("http://local/"), sittingCookie)).toBeNull();
});

test("exercises keep an order without gaps in meaning, however they are put, moved and taken off", async () => {
  const { database } = services;
  const ordered = await addSheet(database, course, "Order");
  const faulty = await collectCase(database, {
    ...{ language: "python", course, student: null, title: "Deck", intent: "", changedLast: "" },
    files: [{ name: "deck.py", bytes: Buffer.from("print(1)\n") }],
    ...{ input: "", expected: "1\n", symptom: null },
  });
  const keys = await Promise.all(["a", "b", "c"].map((title) => addExercise(database, faulty, title, testExercise())));
  const step = fc.record({
    does: fc.constantFrom("put" as const, "off" as const, "up" as const, "down" as const),
    which: fc.nat(2),
  });
  await fc.assert(
    fc.asyncProperty(fc.array(step, { maxLength: 12 }), async (given) => {
      for (const key of keys) await removeExercise(database, ordered, key);
      let wanted: string[] = [];
      for (const { does, which } of given) {
        const key = keys[which] ?? "";
        const at = wanted.indexOf(key);
        if (does === "put") {
          await placeExercise(database, ordered, key);
          if (at < 0) wanted = [...wanted, key];
        } else if (does === "off") {
          await removeExercise(database, ordered, key);
          wanted = wanted.filter((each) => each !== key);
        } else {
          await moveExercise(database, ordered, key, does === "up" ? -1 : 1);
          const to = at + (does === "up" ? -1 : 1);
          const other = wanted[to];
          if (at >= 0 && other !== undefined) wanted = wanted.with(at, other).with(to, key);
        }
      }
      expect((await listPlaced(database, ordered)).map((placed) => placed.key)).toEqual(wanted);
    }),
    { numRuns: 30 },
  );
  await placeExercise(database, ordered, keys[0] ?? "");
  await setLevel(database, ordered, keys[0] ?? "", 4);
  expect((await listPlaced(database, ordered)).find((placed) => placed.key === keys[0])?.level).toBe(4);
});

test("a course's hand-in address is made when it is first opened, and stays", async () => {
  const { database } = services;
  const fresh = await addCourse(database, "Tides", "c");
  expect(await findFirstAssignment(database, fresh)).toBeNull();
  const key = await insertAssignment(database.query, fresh, { title: "Tides", statement: "Größe “4”" });
  await setHandIn(database, key, true);
  const made = await findFirstAssignment(database, fresh);
  expect(made).toMatchObject({ hand_in_open: true, statement: "Größe “4”", title: "Tides" });
  await setHandIn(database, key, false);
  const closed = await findAssignmentByHandIn(database, made?.hand_in_code?.toLowerCase() ?? "");
  expect(closed).toMatchObject({ key: made?.key, hand_in_open: false, statement: "Größe “4”" });
  expect(await findAssignmentByHandIn(database, "nothing")).toBeNull();
});
