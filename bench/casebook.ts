import { patterns } from "../core/patterns/patterns.ts";
import { questions } from "../server/casebook/questions.ts";
import { seenBefore, seenForMessage } from "../server/casebook/seen.ts";
import { collectCase } from "../server/cases/caseStore.ts";
import { saveFinding } from "../server/cases/findingStore.ts";
import { insertLayer, setDecision, setFaultyLines, setPattern } from "../server/cases/layerStore.ts";
import { listCases } from "../server/cases/listStore.ts";
import type { CaseFilter } from "../server/cases/recordFilterStore.ts";
import { lastHandedIn } from "../server/cases/versionStore.ts";
import { openDatabase } from "../server/database/database.ts";
import { addCourse, addStudents, listStudents } from "../server/people/courseStore.ts";
import type { Measure } from "./measure.ts";
import { againstEmptyQuery } from "./yardsticks.ts";

const cases = 20_000;
const classes = ["syntax", "runtime", "logic"] as const;
const day = 86_400_000;

/** Every question, filter and search of the Casebook, and what was seen before, with 20 000 cases, against a query that does nothing. */
export async function benchCasebook(): Promise<Measure[]> {
  const database = await openDatabase(null);
  const courses = await Promise.all([0, 1, 2, 3].map((number) => addCourse(database, `Kittiwake ${number}`, "python")));
  for (const course of courses)
    await addStudents(
      database,
      course,
      Array.from({ length: 30 }, (_, at) => `S-${at}`),
    );
  const students = await Promise.all(courses.map((course) => listStudents(database, course)));
  let last = "";
  for (let number = 0; number < cases; number++) {
    const at = number % courses.length;
    const key = await collectCase(database, {
      ...{ language: "python", course: courses[at] ?? null, student: students[at]?.[number % 30]?.key ?? null },
      ...{ title: `Deck ${number}`, intent: "", changedLast: "", input: "", expected: "1\n", symptom: null },
      files: [{ name: "deck.py", bytes: Buffer.from(`deck = ${number}\nprint(dekc_${number % 100})\n`) }],
      collectedAt: new Date(Date.now() - (number % 240) * day).toISOString(),
    });
    last = key;
    const version = (await lastHandedIn(database.query, key)) ?? "";
    const pattern = patterns[(number * 7) % patterns.length];
    const of = classes[number % 3] ?? "logic";
    await saveFinding(database.query, {
      ...{
        version,
        faultyCase: key,
        class: of,
        kind: null,
        symptom: "",
        message: `NameError: name 'dekc_${number}' is not defined`,
      },
      ...{
        messageKind: "unknown name",
        signature: `nameerror: name of kind ${number % 200}`,
        reportedLine: 2,
        searched: true,
      },
      ...{ family: "name", patterns: pattern ? [{ id: pattern.id, name: pattern.name, why: "" }] : [] },
    });
    if (number % 2 === 1) continue;
    const verdict = { class: of, kind: null, symptom: "", gate: 2, reasons: [], reportedLine: 2, message: "NameError" };
    const layer = await insertLayer(database.query, key, version, verdict);
    const decided = {
      outcome: "fault" as const,
      class: of,
      kind: null,
      suggested: of,
      reason: "",
      at: new Date().toISOString(),
    };
    await setDecision(database.query, layer, decided);
    await setFaultyLines(database.query, layer, [{ line: 1 + (number % 9) }]);
    if (pattern) await setPattern(database.query, layer, pattern.id);
  }
  await database.query("analyze");
  const [course] = courses;
  const filters: Record<string, CaseFilter> = {
    "no filter": {},
    course: { course },
    class: { class: "runtime" },
    "kind of mistake": { pattern: "zero-divisor" },
    distance: { distance: "above" },
    state: { state: "unsure" },
    dates: { since: "2026-06-01", until: "2026-12-01" },
    student: { student: students[0]?.[3]?.key },
    "words that find all": { text: "deck" },
    "words that find a hundredth": { text: "dekc_44" },
    "words that find none": { text: "gannet" },
    "a term for a class": { text: "exception dekc_4" },
  };
  const pasted =
    "Traceback (most recent call last):\n  File \"deck.py\", line 2, in <module>\nNameError: name 'dekc' is not defined\n";
  const work: Array<[string, number, () => Promise<unknown>]> = [
    ...Object.entries(filters).map(([name, filter]): [string, number, () => Promise<unknown>] => [
      `Casebook narrowed by ${name}`,
      300,
      () => listCases(database, { judged: null, page: 0, ...filter }),
    ]),
    ...questions.map(({ asks, answer }): [string, number, () => Promise<unknown>] => [
      asks,
      300,
      () => answer(database, { course }),
    ]),
    ...questions.map(({ asks, answer }): [string, number, () => Promise<unknown>] => [
      `${asks} (all courses)`,
      300,
      () => answer(database, {}),
    ]),
    ["seen before, of a case", 100, () => seenBefore(database, last)],
    ["seen before, of a pasted message", 100, () => seenForMessage(database, pasted, "python")],
  ];
  const measures: Measure[] = [];
  for (const [name, atMost, does] of work) {
    const { time, query, value } = await againstEmptyQuery(20, does);
    console.log(`${name}: ${time.toFixed(1)} ms (p95); an empty query ${query.toFixed(2)} ms`);
    measures.push({ work: `${name}, ${cases} cases, p95`, against: "empty query", value, unit: "x", atMost });
  }
  await database.close();
  return measures;
}
