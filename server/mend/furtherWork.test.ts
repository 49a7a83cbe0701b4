import { afterAll, beforeAll, expect, test } from "vitest";
import { insertAssignment, setAssignmentOfCases } from "../assignments/assignmentStore.ts";
import { insertModel } from "../assignments/modelStore.ts";
import { collectCase, findCase } from "../cases/caseStore.ts";
import { saveCheck } from "../judge/checks.ts";
import { addCourse } from "../people/courseStore.ts";
import { byTeacher, openTestServices } from "../testServices.ts";
import { furtherFor, startFurther, stopFurther } from "./furtherWork.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
let course = "";
beforeAll(async () => {
  services = await openTestServices();
  course = await addCourse(services.database, "Kittiwake Crossing", "python");
});
afterAll(() => services.close());

const program = "cars = int(input())\nif cars <= 10:\n    print(cars * 4)\nelse:\n    print(cars * 3)\n";
async function fresh() {
  const key = await collectCase(services.database, {
    ...{ language: "python", course, student: null, title: "Deck", intent: "", changedLast: "", symptom: null },
    ...{ files: [{ name: "deck.py", bytes: Buffer.from(program) }], input: "3\n", expected: "12\n" },
  });
  return { key, now: async () => (await findCase(services.database, key)) ?? Promise.reject(new Error("no case")) };
}

test("Inputs of an assignment's model are tried behind the pages; with other checks the answer is out of date", async () => {
  const { key, now } = await fresh();
  const assignment = await insertAssignment(services.database.query, course, { title: "Deck" });
  const model = [{ name: "model.py", bytes: Buffer.from(program.replace("<=", "<")) }];
  await insertModel(services.database.query, assignment, "python", model);
  await setAssignmentOfCases(services.database.query, [key], assignment);
  expect(await furtherFor(services, await now())).toBeNull();
  await startFurther(services, await now());
  await services.queue.settled();
  const told = await furtherFor(services, await now());
  expect(told).toMatchObject({ state: "done", outOfDate: false, result: { compared: true } });
  expect(told?.result?.fails).toEqual([
    expect.objectContaining({ how: "differs from the model", input: "10\n", says: "40\n", wanted: "30\n" }),
  ]);
  const found = await now();
  const check = { input: "4\n", expected: "16\n", kind: "normal" as const };
  await saveCheck(services, found, byTeacher(found), null, check);
  expect((await furtherFor(services, await now()))?.outOfDate).toBe(true);
});

test("What is stopped by hand stays stopped, and a case that was put away is not tried", async () => {
  const { now } = await fresh();
  const found = await now();
  await startFurther(services, found);
  await stopFurther(services, found.current_version);
  await services.queue.settled();
  expect((await furtherFor(services, await now()))?.state).toBe("stopped");
  await services.database.query("update faulty_case set deleted_at = now() where key = $1", [found.key]);
  await startFurther(services, found);
  await services.queue.settled();
  expect(await furtherFor(services, await now())).toMatchObject({ state: "waiting", result: null });
});
