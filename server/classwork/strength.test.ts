import { afterAll, beforeAll, expect, test } from "vitest";
import { findAssignment, insertAssignment } from "../assignments/assignmentStore.ts";
import { listAssignmentChecks } from "../assignments/checkStore.ts";
import { insertModel } from "../assignments/modelStore.ts";
import { addCourse } from "../people/courseStore.ts";
import { byTeacher, openTestServices } from "../testServices.ts";
import { confirmChecks, saveAssignmentCheck } from "./assignmentChecks.ts";
import { addMissing, startStrength, stopStrength, strengthFor } from "./strengthWork.ts";

const model = `load = int(input("Load? "))
if load <= 20:
    print("May sail")
else:
    print("Too heavy")
`;

let services: Awaited<ReturnType<typeof openTestServices>>;
let course = "";
beforeAll(async () => {
  services = await openTestServices();
  course = await addCourse(services.database, "Kittiwake Crossing", "python");
});
afterAll(() => services.close());

async function assignmentOf(key: string) {
  const found = await findAssignment(services.database, key);
  if (!found) throw new Error("no assignment");
  return found;
}

test("what no check notices is said with an input that would; with those one press makes the checks strong", async () => {
  const key = await insertAssignment(services.database.query, course, { title: "Deck" });
  expect(await startStrength(services, await assignmentOf(key))).toContain("model");
  await insertModel(services.database.query, key, "python", [{ name: "deck.py", bytes: Buffer.from(model) }]);
  expect(await startStrength(services, await assignmentOf(key))).toContain("no checks");
  await saveAssignmentCheck(services, await assignmentOf(key), byTeacher(await assignmentOf(key)), null, {
    ...{ input: "4\n", expected: "May sail\n", kind: "normal" as const, name: "light" },
  });
  const shape = [{ name: "load", kind: "whole", from: 0, to: 24, choices: [], repeat: "1" }];
  await services.database.query("update assignment set input_shape = $2 where key = $1", [key, JSON.stringify(shape)]);
  expect(await startStrength(services, await assignmentOf(key))).toBe(null);
  await services.queue.settled();
  const weak = await strengthFor(services, await assignmentOf(key));
  expect(weak).toMatchObject({ state: "done", outOfDate: false });
  const { result } = weak ?? {};
  expect(result?.noticed).toBeLessThan(result?.killable ?? 0);
  const limit = result?.unnoticed.find((each) => each.says.includes("“<=” becomes “<”"));
  expect(limit).toMatchObject({ line: 2, input: "20\n" });
  const added = await addMissing(services, await assignmentOf(key), byTeacher(await assignmentOf(key)));
  expect(added).toMatchObject({ ok: true, added: result?.missing.length });
  // What a model gives judges once a person has confirmed it.
  const checks = await listAssignmentChecks(services.database, key);
  const keys = checks.filter((check) => !check.confirmed).map((check) => check.key);
  await confirmChecks(services, key, byTeacher(await assignmentOf(key)), keys);
  expect((await strengthFor(services, await assignmentOf(key)))?.outOfDate).toBe(true);
  await startStrength(services, await assignmentOf(key));
  await services.queue.settled();
  const strong = (await strengthFor(services, await assignmentOf(key)))?.result;
  expect(strong?.unnoticed).toEqual([]);
  expect(strong?.noticed).toBe(strong?.killable);
  await startStrength(services, await assignmentOf(key));
  await stopStrength(services, key);
  await services.queue.settled();
  expect((await strengthFor(services, await assignmentOf(key)))?.state).toBe("stopped");
});
