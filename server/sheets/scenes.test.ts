import { afterAll, beforeAll, expect, test } from "vitest";
import { testExercise } from "../../core/exercises/testExercise.ts";
import { findHunks } from "../../core/fixes/hunks.ts";
import { usualRules } from "../../core/sittings/sittingRules.ts";
import { addExercise } from "../exercises/exerciseStore.ts";
import { handInSitting } from "../marks/markingWork.ts";
import { earnedInAll, listMarks } from "../marks/markStore.ts";
import { addCourse, addStudents, listStudents } from "../people/courseStore.ts";
import { markedSitting } from "../results/markedSitting.ts";
import { sheetResults } from "../results/sheetResults.ts";
import { studentView } from "../results/studentView.ts";
import { sittingOfRequest, tryAgain } from "../sittings/access.ts";
import { beginSitting, findSitting, saveAnswer } from "../sittings/sittingStore.ts";
import { openTestServices } from "../testServices.ts";
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

test("answers in other scenes are not laid beside those to the sheet as it was set", async () => {
  const sheet = await findSheet(services.database, sheetKey);
  const results = sheet ? await sheetResults(services, sheet) : null;
  expect(results?.exercises[0]?.tasks[0]?.wrong).toEqual([]);
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
  const request = new Request("http://127.0.0.1/", { headers: { Cookie: `bent-nail-sitting=${own.key}` } });
  const sheet = await findSheet(database, sheetKey);
  expect((await sittingOfRequest(services, request, sheet?.code ?? "")).open?.sitting.key).toBe(own.key);
});
