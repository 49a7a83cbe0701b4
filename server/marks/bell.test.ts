import { afterAll, beforeAll, expect, test } from "vitest";
import { usualRules } from "../../core/sittings/sittingRules.ts";
import { allowLater, endPause, pauseSheet, setBell } from "../sheets/roomStore.ts";
import { findSheet, setRules, setSheetState } from "../sheets/sheetStore.ts";
import { decideLate, keepAnswer, keepLate, listLate } from "../sittings/answerStore.ts";
import {
  beginAgain,
  beginSitting,
  findSitting,
  giveTime,
  listAnswers,
  reopenSitting,
} from "../sittings/sittingStore.ts";
import { sheetToSit } from "../sittings/testSheet.ts";
import { openTestServices } from "../testServices.ts";
import { collectDue } from "./bell.ts";
import { closeSheet } from "./markingWork.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(async () => {
  await services.queue.settled();
  await services.close();
});

const minute = 60_000;

/** A sheet with three students who sit it. */
async function room() {
  const made = await sheetToSit(services.database);
  const sittings = await Promise.all(
    made.students.map((student) => beginSitting(services.database, made.edition, student.key)),
  );
  const state = async (at: number) => findSitting(services.database, sittings[at] ?? "");
  return { ...made, sittings, state };
}

test("the bell collects a moment after it rang, but not from whom time was given; the sheet closes when nobody is left", async () => {
  const { sheet, sittings, state } = await room();
  const bell = Date.now() + 5 * minute;
  await setBell(services.database, sheet, new Date(bell));
  await giveTime(services.database, sittings[1] ?? "", 600);
  expect(await collectDue(services, bell + 9000)).toBe(0);
  expect(await collectDue(services, bell + 10_000)).toBe(2);
  expect(await state(0)).toMatchObject({ handed_in_at: expect.any(String), handed_in_by: "bell" });
  expect([(await state(1))?.handed_in_at, (await findSheet(services.database, sheet))?.state]).toEqual([null, "set"]);
  expect(await collectDue(services, bell + 10 * minute + 10_000)).toBe(1);
  expect((await findSheet(services.database, sheet))?.state).toBe("closed");
});

test("minutes of one's own count from the own beginning, and stand still in a pause", async () => {
  const { sheet, sittings, state } = await room();
  await setRules(services.database, sheet, { ...usualRules, minutes: 30 });
  const begun = Date.parse((await state(0))?.started_at ?? "");
  await services.database.query("update sitting set started_at = now() - interval '20 minutes' where key = $1", [
    sittings[1],
  ]);
  expect(await collectDue(services, begun + 11 * minute)).toBe(1);
  expect((await state(1))?.handed_in_by).toBe("bell");
  await pauseSheet(services.database, sheet);
  await services.database.query("update sheet set paused_at = now() - interval '10 minutes' where key = $1", [sheet]);
  await services.database.query("update sitting set started_at = now() - interval '25 minutes' where key = $1", [
    sittings[0],
  ]);
  expect(await collectDue(services, Date.now() + 8 * minute)).toBe(0);
  await services.database.transaction((query) => endPause(query, sheet));
  const paused = [(await state(0))?.paused_seconds ?? 0, (await state(2))?.paused_seconds ?? 0];
  expect(paused.map((seconds) => Math.round(seconds / 60))).toEqual([10, 0]);
  expect(await collectDue(services, Date.now() + 14 * minute)).toBe(0);
  expect(await collectDue(services, Date.now() + 16 * minute)).toBe(1);
});

test("a pause moves the bell by its length", async () => {
  const { sheet } = await room();
  const bell = new Date(Date.now() + 20 * minute);
  await setBell(services.database, sheet, bell);
  await pauseSheet(services.database, sheet);
  await services.database.query("update sheet set paused_at = now() - interval '5 minutes' where key = $1", [sheet]);
  await services.database.transaction((query) => endPause(query, sheet));
  const after = await findSheet(services.database, sheet);
  expect(after?.paused_at).toBeNull();
  expect(Math.round((Date.parse(after?.bell_at ?? "") - bell.getTime()) / minute)).toBe(5);
});

test("who sits it later keeps it when the others' sheets are collected, and no bell ends it", async () => {
  const { sheet, students, state } = await room();
  await setBell(services.database, sheet, new Date(Date.now() - minute));
  await allowLater(services.database, sheet, students[2]?.key ?? "", true);
  const found = await findSheet(services.database, sheet);
  if (!found) throw new Error("no sheet");
  await closeSheet(services, found);
  expect([(await state(1))?.handed_in_by, await state(2)]).toMatchObject([
    "teacher",
    { handed_in_at: null, later: true },
  ]);
  await collectDue(services, Date.now() + 60 * minute);
  expect((await state(2))?.handed_in_at).toBeNull();
});

test("what came late is the teacher's to take: it stands then, and what stood before is kept", async () => {
  const { sheet, sittings, state } = await room();
  const [key = ""] = sittings;
  const answer = { base: 0, writer: "a page", count: 1, typedAt: new Date() };
  await keepAnswer(services.database, key, "mend", { ...answer, content: { text: "in time" } });
  const found = await findSheet(services.database, sheet);
  if (!found) throw new Error("no sheet");
  await closeSheet(services, found);
  const late = { ...answer, base: 1, count: 2, content: { text: "late" } };
  expect(await keepAnswer(services.database, key, "mend", late)).toEqual({ result: "handed in" });
  // The one that was there before, sent again, is known.
  expect(await keepAnswer(services.database, key, "mend", { ...answer, content: { text: "in time" } })).toEqual({
    ...{ result: "saved", revision: 1 },
  });
  await keepLate(services.database, key, "mend", { text: "late" }, new Date());
  await keepLate(services.database, key, "mend", { text: "later" }, new Date());
  expect(await listLate(services.database, sheet)).toMatchObject([{ sitting: key, content: { text: "later" } }]);
  expect(await services.database.transaction((query) => decideLate(query, key, "taken"))).toBe(1);
  expect(await listAnswers(services.database, key)).toMatchObject([{ task: "mend", content: { text: "later" } }]);
  expect(await listLate(services.database, sheet)).toEqual([]);
  const rows = await services.database.query("select convert_from(former, 'UTF8') as former from late_answer");
  expect(rows).toEqual([{ former: '{"text":"in time"}' }]);
  expect((await state(0))?.handed_in_at).not.toBeNull();
});

test("a sitting is given back as it was; one more try begins beside it", async () => {
  const { sheet, sittings, state, edition, students } = await room();
  const [key = ""] = sittings;
  expect(await beginAgain(services.database, key)).toBeNull();
  const found = await findSheet(services.database, sheet);
  if (!found) throw new Error("no sheet");
  await closeSheet(services, found);
  await setSheetState(services.database, sheet, "set");
  expect(await reopenSitting(services.database, key)).toBe(true);
  expect(await reopenSitting(services.database, key)).toBe(false);
  expect((await state(0))?.handed_in_at).toBeNull();
  const again = await beginAgain(services.database, sittings[1] ?? "");
  expect(await findSitting(services.database, again ?? "")).toMatchObject({ attempt: 2, handed_in_at: null });
  expect(await beginSitting(services.database, edition, students[1]?.key ?? "")).toBe(again);
});
