import { afterAll, beforeAll, expect, test } from "vitest";
import { insertAssignment, setAssignmentOfCases } from "../assignments/assignmentStore.ts";
import { addCourse } from "../people/courseStore.ts";
import { openTestServices } from "../testServices.ts";
import { collectCase, noteJudged } from "./caseStore.ts";
import { findWalk, readWalkPlace, type WalkPlace } from "./walkStore.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
const keys: string[] = [];
beforeAll(async () => {
  services = await openTestServices();
  for (const title of ["A", "B", "C", "D"])
    keys.push(
      await collectCase(services.database, {
        ...{ language: "python", course: null, student: null, title, intent: "", changedLast: "", symptom: null },
        ...{ files: [{ name: "a.py", bytes: Buffer.from("print(1)\n") }], input: "" },
      }),
    );
});
afterAll(() => services.close());

/** A walk in letters: what is left, and the next, former and coming cases. */
async function walk(place: WalkPlace, from: string) {
  const letter = (key: string | null) => (key === null ? null : "ABCD"[keys.indexOf(key)]);
  const { left, next, former, soon } = await findWalk(services.database, place, keys["ABCD".indexOf(from)] ?? null);
  return [left, letter(next), letter(former), (soon ?? []).map(letter).join("")];
}

test("Through the Tray the newest come first; what was passed over comes again when the end is reached", async () => {
  const tray = { kind: "tray" } as const;
  expect(await walk(tray, "D")).toEqual([4, "C", null, "CB"]);
  expect(await walk(tray, "B")).toEqual([4, "A", "C", "A"]);
  expect(await walk(tray, "A")).toEqual([4, "D", "B", ""]);
});

test("Through the programs of an assignment in the order in which they came; what is decided is left out, and can be gone back to", async () => {
  const course = await addCourse(services.database, "Kittiwake Crossing", "python");
  const key = await insertAssignment(services.database.query, course, { title: "Deck" });
  await setAssignmentOfCases(services.database.query, keys.slice(0, 3), key);
  const place = { kind: "assignment", key } as const;
  expect(await walk(place, "A")).toEqual([3, "B", null, "BC"]);
  await noteJudged(services.database.query, keys[1] ?? "");
  expect(await walk(place, "A")).toEqual([2, "C", null, "C"]);
  expect(await walk(place, "C")).toEqual([2, "A", "B", ""]);
  await noteJudged(services.database.query, keys[0] ?? "");
  await noteJudged(services.database.query, keys[2] ?? "");
  expect(await walk(place, "C")).toEqual([0, null, "B", ""]);
  expect((await findWalk(services.database, place, null)).title).toBe("Deck");
});

test("A place is read from an address; anything else is none", () => {
  expect(readWalkPlace("tray")).toEqual({ kind: "tray" });
  expect(readWalkPlace("set abc-1")).toEqual({ kind: "set", key: "abc-1" });
  for (const wrong of [null, "", "trays", "set", "set a b", "course x", "set '; drop"])
    expect(readWalkPlace(wrong)).toBeNull();
});
