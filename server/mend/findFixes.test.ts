import { afterAll, beforeAll, expect, test } from "vitest";
import { collectCase, findCase, versionOf, type WholeCase } from "../cases/caseStore.ts";
import { judgeVersion } from "../judge/judge.ts";
import { addCourse, addStudents, listStudents } from "../people/courseStore.ts";
import { replaceName } from "../privacy/privacyStore.ts";
import { byTeacher, openTestServices } from "../testServices.ts";
import { foundFor, startSearch, stopSearch } from "./findFixes.ts";
import { tryFix } from "./tryFix.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

const faulty = `cars = int(input("Cars? "))
total = 0
for car in range(cars):
    total = int(input("Load: "))
print("Total:", total)
`;

async function collect(text: string, rest: object = {}): Promise<WholeCase> {
  const key = await collectCase(services.database, {
    ...{ language: "python", course: null, student: null, title: "deck.py", intent: "", changedLast: "" },
    files: [{ name: "deck.py", bytes: Buffer.from(text) }],
    ...{ input: "2\n4\n5\n", expected: "Cars? Load: Load: Total: 9\n", symptom: null, ...rest },
  });
  return whole(key);
}
async function whole(key: string): Promise<WholeCase> {
  const found = await findCase(services.database, key);
  if (!found) throw new Error("no case");
  return found;
}
async function look(found: WholeCase) {
  await startSearch(services, found, await judgeVersion(services, found, versionOf(found, found.current_version)));
  await services.queue.settled();
  return foundFor(services, found);
}

test("a small change is found behind the page, taken as the fix, and where it comes from stays written", async () => {
  const found = await collect(faulty);
  const kept = await look(found);
  expect(kept).toMatchObject({ state: "done", outOfDate: false, not_searched: null });
  const [fix] = kept?.fixes ?? [];
  expect(fix).toMatchObject({ lines: [4], repairs: "open", checks: { passed: 1, of: 1 } });
  expect(fix?.steps[0]).toContain("Line 4");
  // Whoever opens the page again starts nothing anew.
  await startSearch(services, found, await judgeVersion(services, found, versionOf(found, found.current_version)));
  expect((await foundFor(services, found))?.state).toBe("done");
  const tried = await tryFix(services, found, byTeacher(found), fix?.text ?? "", false, {
    origin: "mended by a change that was found",
  });
  expect(tried).toMatchObject({ ok: true, result: "verified" });
  expect((await whole(found.key)).versions.at(-1)?.origin).toBe("mended by a change that was found");
});

test("what was found with other checks is out of date, and a replaced name takes it away", async () => {
  const course = await addCourse(services.database, "Kittiwake Crossing", "python");
  await addStudents(services.database, course, ["S-07"]);
  const student = (await listStudents(services.database, course))[0]?.key ?? "";
  const found = await collect(`# by Petrel\n${faulty}`, { course, student });
  await look(found);
  await services.database.query("update program_check set edition = edition + 1 where faulty_case = $1", [found.key]);
  expect((await foundFor(services, await whole(found.key)))?.outOfDate).toBe(true);
  await replaceName(services.database, student, "Petrel", "S-07");
  expect(await foundFor(services, await whole(found.key))).toBe(null);
});

test("nothing is looked for where no fault shows, and what cannot be looked for says why", async () => {
  expect(await look(await collect(faulty.replace("total = int", "total += int")))).toBe(null);
  const chance = await look(await collect(`import random\nprint(random.random())\n`, { input: "", expected: "3\n" }));
  expect(chance).toMatchObject({ state: "done", fixes: [], not_searched: expect.stringContaining("chance") });
});

test("a search that is stopped keeps what it has, and says so", async () => {
  const found = await collect(faulty);
  await startSearch(services, found, await judgeVersion(services, found, versionOf(found, found.current_version)));
  await stopSearch(services, found.current_version);
  await services.queue.settled();
  expect((await foundFor(services, found))?.state).toBe("stopped");
});
