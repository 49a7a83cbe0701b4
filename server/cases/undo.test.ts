import { afterAll, beforeAll, expect, test } from "vitest";
import { saveCheck } from "../judge/checks.ts";
import { decideClass, markFaultyLines } from "../judge/decisions.ts";
import { changeKeptFix, keepFix } from "../mend/keptFixes.ts";
import { listFixes } from "../mend/keptFixStore.ts";
import { tryFix } from "../mend/tryFix.ts";
import { byTeacher, openTestServices } from "../testServices.ts";
import { collectCase, findCase } from "./caseStore.ts";
import { sayOfWarning, sayWorked } from "./describe.ts";
import { undoLast } from "./undo.ts";
import { listWarningDecisions } from "./warningStore.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

const program = "deck = [4, 9]\nprint('Load', deck[2])\n";
async function fresh(title = "Deck") {
  return collectCase(services.database, {
    ...{ language: "python", course: null, student: null, title, intent: "", changedLast: "" },
    files: [{ name: "deck.py", bytes: Buffer.from(program) }],
    ...{ input: "", expected: "Load 9\n", symptom: null },
  });
}
async function whole(key: string) {
  const found = await findCase(services.database, key);
  if (!found) throw new Error("no case");
  return found;
}
const press = (key: string, says = "the verdict") => ({ key, says });
/** What undoing is to bring back: everything but the revision, what can be undone, and what the evidence said meanwhile. */
async function state(key: string) {
  const { revision: _, undoable: __, versions: ___, loaded: ____, kinds: _____, ...rest } = await whole(key);
  return rest;
}
async function undo(key: string) {
  const found = await whole(key);
  return undoLast(services, found, { ...byTeacher(found), press: press("u", "an undoing") });
}
const runtime = { class: "runtime" as const, kind: null, reason: "" };

test("A verdict, a mark and a mending of one press are undone together, and the undoing is undone", async () => {
  const key = await fresh();
  const before = await state(key);
  let found = await whole(key);
  await decideClass(services, found, { ...byTeacher(found), press: press("one") }, runtime);
  found = await whole(key);
  await markFaultyLines(services, found, { ...byTeacher(found), reason: "", press: press("one") }, [{ line: 2 }]);
  found = await whole(key);
  await tryFix(services, found, { ...byTeacher(found), press: press("one") }, program.replace("[2]", "[1]"), false);
  const mended = await state(key);
  expect(mended.verified_at).not.toBeNull();
  expect((await whole(key)).undoable).toBe("the verdict");
  expect(await undo(key)).toMatchObject({ ok: true, cases: 1 });
  expect(await state(key)).toEqual(before);
  expect((await whole(key)).undoable).toBe("the undoing of the verdict");
  expect((await undo(key)).ok).toBe(true);
  expect(await state(key)).toEqual(mended);
});

test("A check that was changed comes back, with an edition of its own so that no run of another one counts for it", async () => {
  const key = await fresh();
  const check = { input: "", expected: "Load 4\n", kind: "normal" as const };
  let found = await whole(key);
  const former = found.checks[0];
  await saveCheck(services, found, { ...byTeacher(found), press: press("two", "the check") }, former?.key ?? "", check);
  found = await whole(key);
  expect(found.checks[0]?.expected).toBe("Load 4\n");
  await undo(key);
  found = await whole(key);
  expect(found.checks[0]).toMatchObject({ key: former?.key, expected: "Load 9\n" });
  expect(found.checks[0]?.edition).toBeGreaterThan(2);
});

test("Cases that one press changed are undone with it, but for one that was changed since", async () => {
  const keys = await Promise.all(["A", "B", "C"].map((title) => fresh(title)));
  for (const key of keys) {
    const found = await whole(key);
    await decideClass(services, found, { ...byTeacher(found), press: press("group") }, runtime);
  }
  const [first = "", second = "", third = ""] = keys;
  const changed = await whole(third);
  await markFaultyLines(services, changed, { ...byTeacher(changed), reason: "" }, [{ line: 1 }]);
  expect(await undo(first)).toMatchObject({ ok: true, cases: 2 });
  expect((await whole(second)).layers).toEqual([]);
  expect((await whole(third)).layers[0]?.decided).toMatchObject({ class: "runtime" });
});

test("Decided warnings, fixes that are kept and versions that worked come back as they were", async () => {
  const key = await fresh();
  let found = await whole(key);
  const { database } = services;
  const warned = { about: "shadowed name", decision: "hide" as const, note: "meant so" };
  await sayOfWarning(database, found, { ...byTeacher(found), reason: "" }, warned);
  found = await whole(key);
  await keepFix(services, found, { ...byTeacher(found), reason: "" }, { text: "print(9)\n", intention: "the last" });
  const now = async () => [
    await listWarningDecisions(database.query, key),
    await listFixes(database, found.current_version),
    (await whole(key)).versions.map((version) => version.worked),
  ];
  const before = await now();
  found = await whole(key);
  await sayWorked(
    database,
    found,
    { ...byTeacher(found), reason: "", press: press("three") },
    found.current_version,
    true,
  );
  found = await whole(key);
  const [kept] = await listFixes(database, found.current_version);
  await changeKeptFix(
    services,
    found,
    { ...byTeacher(found), reason: "", press: press("three") },
    kept?.key ?? "",
    "leave",
  );
  found = await whole(key);
  await sayOfWarning(
    database,
    found,
    { ...byTeacher(found), reason: "", press: press("three") },
    { ...warned, decision: null },
  );
  expect(await now()).toEqual([[], [], [true]]);
  await undo(key);
  expect(await now()).toEqual(before);
});

test("What nobody pressed, as a version that a student hands in, is not undone by a press", async () => {
  const key = await fresh();
  let found = await whole(key);
  await decideClass(services, found, { ...byTeacher(found), press: press("five") }, runtime);
  found = await whole(key);
  await markFaultyLines(services, found, { ...byTeacher(found), reason: "" }, [{ line: 1 }]);
  expect((await whole(key)).undoable).toBeNull();
  expect((await undo(key)).ok).toBe(false);
});

test("Where nothing was done, or the page is out of date, nothing is undone and it is said", async () => {
  const key = await fresh();
  expect(await undo(key)).toMatchObject({ ok: false, message: expect.stringContaining("nothing to undo") });
  let found = await whole(key);
  await decideClass(services, found, { ...byTeacher(found), press: press("four") }, runtime);
  const stale = { ...byTeacher(found), revision: found.revision };
  found = await whole(key);
  expect(await undoLast(services, found, stale)).toMatchObject({ ok: false, stale: true });
  expect((await whole(key)).layers).toHaveLength(1);
});
