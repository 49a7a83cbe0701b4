import fc from "fast-check";
import { afterAll, beforeAll, expect, test } from "vitest";
import { decideClass } from "../judge/decisions.ts";
import { addCourse, addStudents, listStudents } from "../people/courseStore.ts";
import { byTeacher, openTestServices } from "../testServices.ts";
import { collectCase, deleteCase, findCase, restoreCase } from "./caseStore.ts";
import { filterChoices, filterOf } from "./filterChoices.ts";
import { listCases, listCasesByKey, listLength } from "./listStore.ts";
import type { CaseFilter } from "./recordFilterStore.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
let course = "";
let other = "";
const keys = new Map<string, string>();
beforeAll(async () => {
  services = await openTestServices();
  course = await addCourse(services.database, "Kittiwake Crossing", "python");
  other = await addCourse(services.database, "100 % tides_and\\decks", "c");
  await addStudents(services.database, course, ["S-01", "O'Brien; drop table student"]);
  for (const [title, text, language, where] of [
    ["Deck", "deck_load = 4\nprint(dekc_load)\n", "python", course],
    ["Fares", "fare = 100 % 7\nprint('C:\\\\fares')\n", "python", course],
    ["Tides", "int main(void) { return 0; }\n", "c", other],
    ["Größe", "größe = 'Straße'\n", "python", course],
  ] as const)
    keys.set(title, await collect(title, text, language, where));
});
afterAll(() => services.close());

async function collect(title: string, text: string, language: string, where: string): Promise<string> {
  const [student] = await listStudents(services.database, where);
  return collectCase(services.database, {
    ...{ language, course: where, student: student?.key ?? null, title, intent: "", changedLast: "" },
    files: [{ name: language === "c" ? "tides.c" : "deck.py", bytes: Buffer.from(text) }],
    ...{ input: "", expected: "4\n", symptom: null },
  });
}

const titles = async (filter: CaseFilter, judged: boolean | null = null) => {
  const { rows, total } = await listCases(services.database, { judged, page: 0, ...filter });
  expect(total).toBe(rows.length);
  return rows.map((row) => row.title).sort();
};

test.each<[CaseFilter, string[]]>([
  [{}, ["Deck", "Fares", "Größe", "Tides"]],
  [{ text: "deck_load" }, ["Deck"]],
  [{ text: "deckXload" }, []],
  [{ text: "100 %" }, ["Fares"]],
  [{ text: "%" }, ["Fares"]],
  [{ text: "c:\\\\fares" }, ["Fares"]],
  [{ text: "GRÖSSE" }, []],
  [{ text: "GRÖẞE" }, ["Größe"]],
  [{ text: "Größe straße" }, ["Größe"]],
  [{ text: "print dekc" }, ["Deck"]],
  [{ text: "print nothing" }, []],
  [{ text: "   " }, ["Deck", "Fares", "Größe", "Tides"]],
  [{ text: "'; drop table layer; --" }, []],
  [{ text: "de\0ck_load" }, ["Deck"]],
  [{ language: "c" }, ["Tides"]],
  [{ language: "klingon" }, []],
  [{ course: "nothing" }, []],
  [{ state: "verified" }, []],
  [{ state: "no such state" }, ["Deck", "Fares", "Größe", "Tides"]],
  [{ class: "runtime" }, []],
])("narrowed by %j", async (filter, expected) => {
  expect(await titles(filter)).toEqual(expected);
});

test("by course and student, whatever they are called", async () => {
  expect(await titles({ course: other })).toEqual(["Tides"]);
  const [student] = await listStudents(services.database, course);
  expect(await titles({ course, student: student?.key ?? "" })).toEqual(["Deck", "Fares", "Größe"]);
  const choices = await filterChoices(services.database);
  expect(choices.courses.map(({ name, students }) => [name, students.length]).sort()).toEqual([
    ["100 % tides_and\\decks", 0],
    ["Kittiwake Crossing", 2],
  ]);
});

test("no words that are looked for make a list fail or show what does not hold them", async () => {
  await fc.assert(
    fc.asyncProperty(fc.string({ maxLength: 12 }), fc.nat(3), async (text, page) => {
      const { rows, total } = await listCases(services.database, { judged: null, page, text });
      expect(total).toBeLessThanOrEqual(4);
      if (page > 0) expect(rows).toEqual([]);
    }),
    { numRuns: 40 },
  );
});

test("a decision moves a case out of the Tray and into its class; put away it is nowhere, and comes back", async () => {
  const key = keys.get("Deck") ?? "";
  const found = await findCase(services.database, key);
  if (!found) throw new Error("no case");
  expect(await titles({}, false)).toEqual(["Deck", "Fares", "Größe", "Tides"]);
  await decideClass(services, found, byTeacher(found), { class: "runtime", kind: null, reason: "" });
  expect(await titles({}, true)).toEqual(["Deck"]);
  expect(await titles({ class: "runtime", state: "judged" })).toEqual(["Deck"]);
  const [row] = await listCasesByKey(services.database, [key]);
  expect(row).toMatchObject({ class: "runtime", confirmed: true, layers: 1, label: expect.any(String) });
  await deleteCase(services.database, key);
  expect([await titles({ class: "runtime" }), await listCasesByKey(services.database, [key])]).toEqual([[], []]);
  await restoreCase(services.database, key);
  expect(await titles({ class: "runtime" })).toEqual(["Deck"]);
});

test("cases by their keys come in the order asked for, each once, unknown ones left out", async () => {
  const [tides = "", fares = ""] = [keys.get("Tides"), keys.get("Fares")];
  const rows = await listCasesByKey(services.database, [tides, "nothing", fares]);
  expect(rows.map((row) => row.title)).toEqual(["Tides", "Fares"]);
  expect(await listCasesByKey(services.database, [])).toEqual([]);
});

test("pages follow one another, newest first, and no case is on two of them", async () => {
  const more = await addCourse(services.database, "Many", "python");
  for (let count = 0; count < listLength + 3; count += 1) await collect(`Many ${count}`, "x = 1\n", "python", more);
  const pages = await Promise.all(
    [0, 1, 2].map((page) => listCases(services.database, { judged: null, page, course: more })),
  );
  expect(pages.map(({ rows, total }) => [rows.length, total])).toEqual([
    [listLength, listLength + 3],
    [3, listLength + 3],
    [0, listLength + 3],
  ]);
  const all = pages.flatMap(({ rows }) => rows);
  expect(new Set(all.map((row) => row.key)).size).toBe(listLength + 3);
  const times = all.map((row) => new Date(row.created_at).getTime());
  expect(times).toEqual([...times].sort((one, two) => two - one));
});

test("the narrowing is read from an address: names that are none are passed over, long ones cut", () => {
  const query = new URLSearchParams({ text: "x".repeat(500), language: "c", page: "7", evil: "1", class: "" });
  expect(filterOf(query)).toEqual({ language: "c", text: "x".repeat(200) });
});
