import { afterAll, beforeAll, beforeEach, expect, test } from "vitest";
import * as z from "zod";
import type { ExerciseContent } from "../../core/exercises/exercise.ts";
import { deckMended, testExercise } from "../../core/exercises/testExercise.ts";
import { listFormer } from "../cases/formerStore.ts";
import { asBytes } from "../database/rows.ts";
import { addCourse, addStudents, listStudents } from "../people/courseStore.ts";
import { addSheet, findSheet, type Sheet, setSheet } from "../sheets/sheetStore.ts";
import { beginSitting, findSitting, handIn, saveAnswer } from "../sittings/sittingStore.ts";
import { byTeacher, openTestServices } from "../testServices.ts";
import { markSitting, sittingsToMarkAgain, unmarkedSittings } from "./marking.ts";
import { beingMarked, closeSheet, handInSitting, markBehind, markWork, resumeMarking } from "./markingWork.ts";
import { listMarks } from "./markStore.ts";
import { overrule } from "./overrule.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

const mend = { key: "mend", kind: "mend", marks: 2, allowedExtraLines: 1, extraCost: 0 };
/** As a task could be that an older version had set: what its kind needs is missing. */
const unreadable = { key: "old", kind: "mend", marks: 3 };
const content = (tasks: ExerciseContent["tasks"]) => testExercise({ tasks });

let sheet: Sheet;
let sittings: string[];

/** A sheet that three students sit; the first two have mended the program. */
async function sit(tasks: ExerciseContent["tasks"]): Promise<void> {
  const { database } = services;
  const course = await addCourse(database, "Kittiwake Crossing", "python");
  await addStudents(database, course, ["S-01", "S-02", "S-03"]);
  const key = await addSheet(database, course, "Deck loads");
  const edition = await setSheet(database, key, {
    title: "Deck loads",
    exercises: [{ key: "e", title: "Deck", level: 1, content: content(tasks) }],
  });
  sittings = await Promise.all(
    (await listStudents(database, course)).map((student) => beginSitting(database, edition, student.key)),
  );
  for (const sitting of sittings.slice(0, 2)) await saveAnswer(database, sitting, "mend", 1, { text: deckMended });
  const found = await findSheet(database, key);
  if (!found) throw new Error("no sheet");
  sheet = found;
}
beforeEach(() => sit([mend]));

const earned = async (at: number) =>
  (await listMarks(services.database, [sittings[at] ?? ""])).map((mark) => [mark.task, mark.item, mark.earned]);
const whole = async (at: number) => {
  const found = await findSitting(services.database, sittings[at] ?? "");
  if (!found) throw new Error("no sitting");
  return found;
};

test("what was handed in and not marked when the server ended is found at the start and marked", async () => {
  for (const sitting of sittings) await handIn(services.database, sitting);
  expect((await unmarkedSittings(services, sheet.key)).map((each) => each.key)).toEqual(sittings);
  await resumeMarking(services);
  await expect.poll(async () => (await unmarkedSittings(services, null)).length, { timeout: 300_000 }).toBe(0);
  expect(await Promise.all([0, 1, 2].map(earned))).toEqual([
    [["mend", "fault 1", 2]],
    [["mend", "fault 1", 2]],
    [["mend", "fault 1", 0]],
  ]);
});

test("a sitting that is marked behind is not begun twice, and is let go at the end", async () => {
  await handIn(services.database, sittings[0] ?? "");
  const jobs = async () =>
    (await services.database.query("select id from pgboss.job where data ->> 'sitting' = $1", [sittings[0]])).length;
  // Both come in one transaction, so that the first cannot be begun before the second is there.
  await services.database.transaction(async (query) => {
    await services.queue.add(markWork, [{ sitting: sittings[0] ?? "" }], query);
    await services.queue.add(markWork, [{ sitting: sittings[0] ?? "" }], query);
  });
  expect([...(await beingMarked(services))]).toEqual([sittings[0]]);
  services.queue.wake(markWork);
  await services.queue.settled();
  expect([[...(await beingMarked(services))], await earned(0), await jobs()]).toEqual([
    [],
    [["mend", "fault 1", 2]],
    1,
  ]);
});

test("a task whose marking breaks off waits for the teacher; the others are marked", async () => {
  await sit([unreadable, mend]);
  await handInSitting(services, await whole(0));
  await services.queue.settled();
  expect(await earned(0)).toEqual([
    ["mend", "fault 1", 2],
    ["old", "the task", null],
  ]);
  expect((await listMarks(services.database, [sittings[0] ?? ""])).find((mark) => mark.task === "old")).toMatchObject({
    possible: 3,
    reason: expect.stringContaining("waits for the teacher"),
  });
});

test("closing a sheet hands in and marks every student although one sitting cannot be read", async () => {
  await services.database.query("update answer set content = $2 where sitting = $1", [
    sittings[0],
    asBytes("{ cut off"),
  ]);
  await closeSheet(services, sheet);
  for (const at of [0, 1, 2]) expect((await whole(at)).handed_in_at).not.toBeNull();
  await expect.poll(async () => (await Promise.all([1, 2].map(earned))).flat().length, { timeout: 300_000 }).toBe(2);
  expect([await earned(0), await earned(1), await earned(2)]).toEqual([
    [],
    [["mend", "fault 1", 2]],
    [["mend", "fault 1", 0]],
  ]);
  expect((await sittingsToMarkAgain(services, sheet.key)).map((each) => each.key)).toEqual([sittings[0]]);
  // When its answer is whole again, it can be marked as any other.
  await services.database.query("update answer set content = $2 where sitting = $1", [
    sittings[0],
    asBytes(JSON.stringify({ text: deckMended })),
  ]);
  await markBehind(services, await sittingsToMarkAgain(services, sheet.key));
  await expect.poll(() => earned(0), { timeout: 300_000 }).toEqual([["mend", "fault 1", 2]]);
});

test("a run that tells nothing earns no mark and loses none: it waits, and marking again gives it", async () => {
  const { run } = services.toolchains.find("python") ?? {};
  const python = services.toolchains.find("python");
  if (!python || !run) throw new Error("no Python");
  python.run = async (request) => ({
    ...(await run(request)),
    stoppedBy: "not taken",
    trouble: "This run did not get its turn.",
  });
  try {
    await handIn(services.database, sittings[0] ?? "");
    expect(await markSitting(services, await whole(0))).toEqual({ refused: "This run did not get its turn." });
  } finally {
    python.run = run;
  }
  expect((await listMarks(services.database, [sittings[0] ?? ""]))[0]).toMatchObject({
    earned: null,
    reason: expect.stringContaining("did not get its turn"),
  });
  expect((await sittingsToMarkAgain(services, sheet.key)).map((each) => each.key)).toEqual([sittings[0]]);
  await markBehind(services, [await whole(0)]);
  await services.queue.settled();
  expect(await earned(0)).toEqual([["mend", "fault 1", 2]]);
  const former = await listFormer(services.database.query, "mark", `${sittings[0]} mend fault 1`);
  expect(
    former.map((each) => [each.who, each.reason, z.object({ earned: z.unknown() }).parse(each.former).earned]),
  ).toEqual([["program", "marked again", null]]);
});

test("marking again leaves a mark that a teacher gave as it is", async () => {
  await handInSitting(services, await whole(2));
  await services.queue.settled();
  const [mark] = await listMarks(services.database, [sittings[2] ?? ""]);
  if (!mark) throw new Error("no mark");
  await overrule(services, mark, byTeacher({ revision: 0 }).who, 1, "the idea is there");
  await markBehind(services, [await whole(2)]);
  await services.queue.settled();
  expect((await listMarks(services.database, [sittings[2] ?? ""]))[0]).toMatchObject({
    earned: 1,
    marker: "teacher",
    reason: "the idea is there",
  });
});
