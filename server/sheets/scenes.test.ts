import { afterAll, beforeAll, expect, test } from "vitest";
import { testExercise } from "../../core/exercises/testExercise.ts";
import { findHunks } from "../../core/fixes/hunks.ts";
import { usualRules } from "../../core/sittings/sittingRules.ts";
import { addExercise } from "../exercises/exerciseStore.ts";
import { handInSitting } from "../marks/markingWork.ts";
import { earnedInAll, listMarks } from "../marks/markStore.ts";
import { answersToTask, decideForAll } from "../marks/moderation.ts";
import { addCourse, addStudents, listStudents } from "../people/courseStore.ts";
import { markedSitting } from "../results/markedSitting.ts";
import { sheetResults } from "../results/sheetResults.ts";
import { studentView } from "../results/studentView.ts";
import { enterSitting, sittingOfRequest, tryAgain } from "../sittings/access.ts";
import { beginSitting, findSitting, passOf, saveAnswer } from "../sittings/sittingStore.ts";
import { byTeacher, openTestServices } from "../testServices.ts";
import { editionToPrint, sceneOfAddress } from "./editionToPrint.ts";
import { keepScene, listScenes } from "./sceneStore.ts";
import { setForStudents } from "./setSheet.ts";
import { addSheet, findEdition, findSheet, placeExercise, setRules } from "./sheetStore.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
let sheetKey: string;
let edition: string;
let student: string;
const mended = "cars = 12\nlength = 5\nprint('Metres:', cars * length)\n";
const program = mended.replace("*", "+");

beforeAll(async () => {
  services = await openTestServices();
  const { database } = services;
  const course = await addCourse(database, "Kittiwake Crossing", "python");
  await addStudents(database, course, ["S-01"]);
  student = (await listStudents(database, course))[0]?.key ?? "";
  sheetKey = await addSheet(database, course, "Deck lengths");
  const content = testExercise({
    ...{
      program,
      mended,
      checks: [{ input: "", expected: "Metres: 60\n", kind: "normal", ignorePrompts: false, files: {} }],
    },
    faults: [
      {
        ...{ class: "logic", symptom: "", message: "", reportedLine: null, faultyLines: [3] },
        hunks: findHunks(program, mended),
      },
    ],
    tasks: [{ key: "mend it", kind: "mend", marks: 4, allowedExtraLines: 1, extraCost: 0 }],
  });
  await placeExercise(database, sheetKey, await addExercise(database, null, "Lengths", content));
  await setRules(database, sheetKey, { ...usualRules, mode: "practice", otherScenes: true });
  const sheet = await findSheet(database, sheetKey);
  if (!sheet) throw new Error("no sheet");
  const set = await setForStudents(services, sheet, true);
  if (!set.ok) throw new Error(set.message);
  edition = set.edition;
  await services.queue.settled();
});
afterAll(() => services.close());

const sitting = async (key: string) => {
  const found = await findSitting(services.database, key);
  if (!found) throw new Error("no sitting");
  return found;
};
const viewOf = async (key: string) => {
  const own = await sitting(key);
  const sheet = await findSheet(services.database, sheetKey);
  const sat = await findEdition(services.database, own.edition, own.scene);
  if (!sheet || !sat) throw new Error("no sheet");
  return { view: await studentView(services, { sheet, sitting: own, edition: sat }), sheet, own, sat };
};
const again = async (key: string) => {
  const { sheet, own, sat } = await viewOf(key);
  const begun = await tryAgain(services, { sheet, sitting: own, edition: sat });
  if (!begun.ok) throw new Error(begun.message);
  return begun.sitting;
};
const handIn = async (key: string, text: string) => {
  await saveAnswer(services.database, key, "mend it", 1, { text });
  await handInSitting(services, { key });
  await services.queue.settled();
  return earnedInAll(await listMarks(services.database, [key]));
};

test("a practice sheet is made in other scenes when it is set: other names or numbers, the same tasks by the same keys", async () => {
  expect(await listScenes(services.database, edition)).toEqual([1, 2, 3]);
  const first = await findEdition(services.database, edition);
  for (const number of [1, 2, 3]) {
    const scene = await findEdition(services.database, edition, number);
    const [exercise] = scene?.content.exercises ?? [];
    expect(exercise?.content.program).not.toBe(program);
    expect(exercise?.content.faults[0]).toMatchObject({ class: "logic", faultyLines: [3] });
    expect(exercise?.content.tasks.map(({ key }) => key)).toEqual(["mend it"]);
    expect(scene?.key).toBe(first?.key);
  }
  expect((await findEdition(services.database, edition, 9))?.content).toEqual(first?.content);
});

test("each next try is in another scene, marked by its own programs; after the last one it is the first again", async () => {
  let key = await beginSitting(services.database, edition, student);
  expect((await viewOf(key)).view).toMatchObject({ otherScene: false, exercises: [{ program }] });
  expect(await handIn(key, mended)).toBe(4);
  key = await again(key);
  const second = await viewOf(key);
  expect(second.view.otherScene).toBe(true);
  expect(second.view.exercises[0]?.program).not.toBe(program);
  // What was right before is not, since it is another program now.
  expect(await handIn(key, mended)).toBe(0);
  expect((await markedSitting(services, key))?.otherScene).toBe(true);
  key = await again(key);
  const third = await viewOf(key);
  expect(await handIn(key, third.sat.content.exercises[0]?.content.mended ?? "")).toBe(4);
  key = await again(key);
  expect(third.own.scene).toBe(2);
  await handIn(key, "");
  key = await again(key);
  expect((await sitting(key)).scene).toBe(0);
  expect((await viewOf(key)).view.exercises[0]?.program).toBe(program);
});

test("answers to another scene are a group of their own, beside its program, and a decision for them holds there only", async () => {
  const { database } = services;
  const to = async () => (await answersToTask(services, sheetKey, "mend it"))?.groups ?? [];
  const inSecond = (await to()).filter(({ scene }) => scene === 1);
  // The program that was right as it was set stands beside the program of the other scene.
  expect(inSecond).toHaveLength(1);
  const asSet = (await to()).filter(({ scene }) => scene === 0);
  expect(JSON.stringify(inSecond[0]?.compared)).not.toBe(JSON.stringify(asSet[0]?.compared));
  const item = inSecond[0]?.items[0];
  const decided = await decideForAll(services, byTeacher({ revision: 1 }).who, {
    ...{ sheet: sheetKey, task: "mend it", group: inSecond[0]?.key ?? "", item: item?.item ?? "", earned: 1 },
    reason: "half understood",
  });
  expect(decided).toEqual({ ok: true, students: 1 });
  expect((await to()).find(({ scene }) => scene === 0)?.items[0]?.earned).not.toBe(1);
  const sheet = await findSheet(database, sheetKey);
  const results = sheet ? await sheetResults(services, sheet) : null;
  expect(results?.exercises[0]?.tasks[0]?.answered).toBe(1);
});

test("neighbours begin with other names and numbers, and come back to their own; what is printed has them, too", async () => {
  const { database } = services;
  const course = await addCourse(database, "Neighbours", "python");
  await addStudents(database, course, ["N-1", "N-2", "N-3", "N-4", "N-5"]);
  const content = (await findEdition(database, edition))?.content.exercises[0]?.content;
  if (!content) throw new Error("no exercise");
  const key = await addSheet(database, course, "Side by side");
  await placeExercise(database, key, await addExercise(database, null, "Lengths", content));
  await setRules(database, key, { ...usualRules, bySeat: true });
  const draft = await findSheet(database, key);
  const set = draft ? await setForStudents(services, draft, true) : null;
  if (!set?.ok) throw new Error("not set");
  await services.queue.settled();
  const sheet = await findSheet(database, key);
  if (!sheet) throw new Error("no sheet");
  const sat: number[] = [];
  for (const { label, personal_code } of await listStudents(database, course)) {
    const enter = () => enterSitting(services, sheet, label, personal_code, "10.0.0.9");
    const [first, second] = [await enter(), await enter()];
    if (!first.ok || !second.ok) throw new Error("not entered");
    expect(second.sitting).toBe(first.sitting);
    sat.push((await sitting(first.sitting)).scene);
  }
  expect(sat).toEqual([0, 1, 2, 3, 0]);
  const printed = await editionToPrint(database, sheet, null, 2);
  expect(printed?.exercises[0]?.content.program).toBe(
    (await findEdition(database, set.edition, 2))?.content.exercises[0]?.content.program,
  );
  expect(await editionToPrint(database, sheet, null, 9)).toBeNull();
  expect(sceneOfAddress("http://127.0.0.1/?scene=two")).toBe(-1);
});

test("a scene that is there stays as it is; without the rule a next try is the same", async () => {
  const { database } = services;
  const before = await findEdition(database, edition, 1);
  await keepScene(database, edition, 1, { title: "Another", exercises: [] });
  expect((await findEdition(database, edition, 1))?.content).toEqual(before?.content);
  await setRules(database, sheetKey, { ...usualRules, mode: "practice" });
  const { own } = await viewOf(await beginSitting(database, edition, student));
  await handIn(own.key, mended);
  expect((await sitting(await again(own.key))).scene).toBe(0);
  const pass = await passOf(database, own.key);
  const request = new Request("http://127.0.0.1/", { headers: { Cookie: `bent-nail-sitting=${pass}` } });
  const sheet = await findSheet(database, sheetKey);
  expect((await sittingOfRequest(services, request, sheet?.code ?? "")).open?.sitting.key).toBe(own.key);
});
