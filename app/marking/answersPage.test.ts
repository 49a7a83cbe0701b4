import { afterAll, beforeAll, expect, test } from "vitest";
import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import { testExercise } from "../../core/exercises/testExercise.ts";
import { addExercise } from "../../server/exercises/exerciseStore.ts";
import { markBehind } from "../../server/marks/markingWork.ts";
import { listMarks } from "../../server/marks/markStore.ts";
import { addCourse, addStudents, listStudents } from "../../server/people/courseStore.ts";
import { studentView } from "../../server/results/studentView.ts";
import { setForStudents } from "../../server/sheets/setSheet.ts";
import { addSheet, findEdition, findSheet, placeExercise, releaseMarks } from "../../server/sheets/sheetStore.ts";
import { beginSitting, findSitting, handIn, saveAnswer } from "../../server/sittings/sittingStore.ts";
import { openTestServices } from "../../server/testServices.ts";
import { answered, asked, markupOf, provideServices, textOfPage } from "../askRoute.ts";
import * as sheetPage from "../sheets/sheetPage.tsx";
import * as answersPage from "./answersPage.tsx";

let services: Awaited<ReturnType<typeof openTestServices>>;
let sheetKey: string;
let edition: string;
const sittings = new Map<string, string>();
const taskKey = "c";

async function sits(label: string, reason: string): Promise<void> {
  const { database } = services;
  const sheet = await findSheet(database, sheetKey);
  const student = (await listStudents(database, sheet?.course ?? "")).find((each) => each.label === label);
  const key = await beginSitting(database, edition, student?.key ?? "");
  await saveAnswer(database, key, taskKey, 1, { class: "logic", reason });
  await handIn(database, key);
  sittings.set(label, key);
  const sitting = await findSitting(database, key);
  if (sitting) await markBehind(services, [sitting]);
  await services.queue.settled();
}

beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
  const { database } = services;
  const course = await addCourse(database, "Kittiwake Crossing", "python");
  await addStudents(database, course, ["T-01", "T-02", "T-03", "T-04"]);
  const looks = [{ line: 1, why: "It begins here." }];
  const faults = testExercise().faults.map((fault) => ({ ...fault, looks }));
  const content = testExercise({ tasks: [{ key: taskKey, kind: "classify", marks: 2 }], faults });
  sheetKey = await addSheet(database, course, "Deck");
  await placeExercise(database, sheetKey, await addExercise(database, null, "Deck load", content));
  const sheet = await findSheet(database, sheetKey);
  if (!sheet) throw new Error("no sheet");
  const set = await setForStudents(services, sheet);
  if (!set.ok) throw new Error(set.message);
  edition = set.edition;
  await sits("T-01", "it runs, and the output is not the expected one");
  await sits("T-02", "It stops.");
  await sits("T-03", "it runs,  and the output is not the expected one ");
});
afterAll(() => services.close());

const page = () => answersPage.loader(asked({ sheetKey, taskKey }));
const marks = async (label: string) => {
  const all = await listMarks(services.database, [sittings.get(label) ?? ""]);
  return all.find((mark) => mark.item === "reason");
};
const decide = async (earned: string, reason = "") => {
  const [group] = (await page()).groups.filter((each) => each.labels.includes("T-01"));
  const form = { intent: "decide", group: group?.key ?? "", item: "reason", earned, reason };
  return answered(answersPage.action(asked({ sheetKey, taskKey }, { form })));
};

test("answers that say the same stand once, with what is suggested and why", async () => {
  const data = await page();
  expect(data.groups.map((group) => group.labels)).toEqual([["T-01", "T-03"], ["T-02"]]);
  const text = textOfPage(answersPage.default, data, `/sheets/${sheetKey}/answers/${taskKey}`);
  expect(text).toContain("3 answers, 2 different; 2 wait for you.");
  expect(text).toContain("Suggested: 0.5");
  expect(text).toContain("Give all 2");
});

test("one decision marks all who said the same, and those who hand in later; former marks are kept", async () => {
  expect(await decide("7")).toMatchObject({ ok: false, message: "A mark from 0 to 1 is needed." });
  expect(await decide("1")).toMatchObject({ ok: true, message: "2 students have it now." });
  expect(await marks("T-03")).toMatchObject({ earned: 1, marker: "teacher" });
  expect(await marks("T-02")).toMatchObject({ earned: null });
  await sits("T-04", "It runs, and the output is not the expected one");
  expect(await marks("T-04")).toMatchObject({ earned: null });
  await decide("0.5", "half, since it names nothing");
  expect((await marks("T-01"))?.reason).toBe("half, since it names nothing");
  const former = await services.database.query("select former from former_value where about = 'mark'");
  expect(former.length).toBeGreaterThanOrEqual(4);
});

test("the same answer that comes later is marked by what was decided, under the scheme as it is then", async () => {
  const key = sittings.get("T-04") ?? "";
  await services.database.query("update answer set content = $2 where sitting = $1", [
    key,
    Buffer.from(JSON.stringify({ class: "logic", reason: "it runs, and the output is not the expected one" })),
  ]);
  const sitting = await findSitting(services.database, key);
  if (sitting) await markBehind(services, [sitting]);
  await services.queue.settled();
  expect(await marks("T-04")).toMatchObject({ earned: 0.5, marker: "program", scheme: 2 });
});

test("a suggestion is never shown to a student, and release says what still waits", async () => {
  const released = await answered(sheetPage.action(asked({ sheetKey }, { form: { intent: "release" } })));
  expect(released.message).toBe(
    "Students see their marks now. 1 answer still waits for you; students read that they do.",
  );
  const sheet = await findSheet(services.database, sheetKey);
  const sitting = await findSitting(services.database, sittings.get("T-02") ?? "");
  const own = await findEdition(services.database, edition);
  if (!sheet || !sitting || !own) throw new Error("no sitting");
  const view = await studentView(services, { sheet, sitting, edition: own });
  const [task] = view.exercises[0]?.tasks ?? [];
  expect(task?.marked).toContainEqual({
    item: "reason",
    earned: null,
    possible: 1,
    reason: "This waits for your teacher.",
  });
  expect(task?.compared).not.toBeNull();
  expect(view.exercises[0]?.ways).toEqual([[{ line: 1, why: "It begins here." }]]);
  await releaseMarks(services.database, sheetKey, false);
  const before = await studentView(services, { sheet: { ...sheet, released_at: null }, sitting, edition: own });
  expect(JSON.stringify(before)).not.toContain("logic error");
  expect(JSON.stringify(before)).not.toContain("It begins here.");
  expect(before.exercises[0]?.tasks[0]).toMatchObject({ compared: null, right: [], marked: [] });
});

test("a task that is on no edition is none; the page is named by its task", async () => {
  await expect(answersPage.loader(asked({ sheetKey, taskKey: "none" }))).rejects.toMatchObject({
    init: { status: 404 },
  });
  expect(markupOf(answersPage.default, await page(), "/")).toContain(kindOfTask({ kind: "classify" }).title);
});

test("other rules show who is affected before anything changes, and mark anew with the former marks kept", async () => {
  const { database } = services;
  const course = await addCourse(database, "Kittiwake Crossing, rules", "python");
  await addStudents(database, course, ["R-01", "R-02"]);
  const content = testExercise({
    tasks: [{ key: "m", kind: "mend", marks: 2, allowedExtraLines: 1, extraCost: 1 }],
  });
  const own = await addSheet(database, course, "Rules");
  await placeExercise(database, own, await addExercise(database, null, "Deck load", content));
  const sheet = await findSheet(database, own);
  if (!sheet) throw new Error("no sheet");
  const set = await setForStudents(services, sheet);
  if (!set.ok) throw new Error(set.message);
  const mended = content.mended ?? "";
  const texts = [mended, `# deck\ntide = 1\nramp = 2\nquay = 3\n${mended}`];
  const keys: string[] = [];
  for (const [at, student] of (await listStudents(database, course)).entries()) {
    const key = await beginSitting(database, set.edition, student.key);
    await saveAnswer(database, key, "m", 1, { text: texts[at] });
    await handIn(database, key);
    keys.push(key);
    await markBehind(services, [{ key }]);
  }
  await services.queue.settled();
  const earned = async () => (await listMarks(database, keys)).map((mark) => [mark.earned, mark.scheme]).sort();
  expect(await earned()).toEqual([
    [1, 1],
    [2, 1],
  ]);
  const place = { sheetKey: own, taskKey: "m" };
  const ask = (form: Record<string, string>) => answered(answersPage.action(asked(place, { form })));
  const data = await answersPage.loader(asked(place));
  expect(data.rules.map(({ name, value }) => [name, value])).toEqual([
    ["cost", 1],
    ["lines", 1],
    ["all fault 1", 0],
  ]);
  const toAll = { "rule cost": "1", "rule lines": "1", "rule all fault 1": "1" };
  expect(await ask({ intent: "try rules", ...toAll })).toMatchObject({
    message: "Not changed yet. These rules would change R-02: fault 1 1 → 2.",
  });
  const free = { "rule cost": "0", "rule lines": "1" };
  expect(await ask({ intent: "try rules", ...free })).toMatchObject({
    ok: true,
    message: "Not changed yet. These rules would change R-02: fault 1 1 → 2.",
  });
  expect(await earned()).toContainEqual([1, 1]);
  expect(await ask({ intent: "try rules", "rule cost": "1", "rule lines": "1" })).toMatchObject({
    message: expect.stringContaining("Nobody"),
  });
  expect(await ask({ intent: "keep rules", ...free })).toMatchObject({ ok: false });
  expect(await ask({ intent: "keep rules", "rule cost": "much", reason: "x" })).toMatchObject({ ok: false });
  const kept = await ask({ intent: "keep rules", ...free, reason: "Nobody was told." });
  expect(kept).toMatchObject({ ok: true, message: expect.stringContaining("2 sittings are marked anew") });
  await services.queue.settled();
  expect(await earned()).toEqual([
    [2, 2],
    [2, 2],
  ]);
  // The edition stays as it was set; what is shown goes by the rules of now.
  expect((await findEdition(database, set.edition))?.content.exercises[0]?.content.tasks[0]).toMatchObject({
    extraCost: 1,
  });
  const now = await answersPage.loader(asked(place));
  expect(now.rules[0]).toMatchObject({ name: "cost", value: 0 });
  expect(now.changes).toEqual([{ number: 1, reason: "Nobody was told." }]);
  expect(textOfPage(answersPage.default, now, `/sheets/${own}/answers/m`)).toContain(
    "Changed before: Nobody was told.",
  );
});
