import fc from "fast-check";
import { afterAll, beforeAll, expect, test } from "vitest";
import { insertAssignment } from "../assignments/assignmentStore.ts";
import { collectCase } from "../cases/caseStore.ts";
import type { CaseFilter } from "../cases/recordFilterStore.ts";
import type { Database } from "../database/database.ts";
import { addCourse, addStudents, listStudents } from "../people/courseStore.ts";
import { openTestServices } from "../testServices.ts";
import {
  countBy,
  countByAssignment,
  countByDistance,
  countByMessage,
  countByStudent,
  countByWeek,
  countByWorkingTime,
} from "./questionStore.ts";

/*
 * What the Casebook counts, held against the same counted here row by row: records by chance, and questions about all of
 * them or some.
 */

const classes = ["syntax", "runtime", "logic"] as const;
const recordRow = fc.record({
  at: fc.integer({ min: 0, max: 24 * 28 * 60 - 1 }),
  case: fc.nat({ max: 11 }),
  student: fc.nat({ max: 2 }),
  assignment: fc.nat({ max: 2 }),
  class: fc.constantFrom(...classes, null),
  outcome: fc.constantFrom("fault", "fault", null, "no fault", "stops on purpose"),
  confirmed: fc.boolean(),
  pattern: fc.constantFrom("limit-off-by-one", "colon-missing", "own-name-misspelt", null),
  sure: fc.boolean(),
  cause: fc.constantFrom("slip", "idea", null),
  signature: fc.constantFrom("name _ is not defined", "expected :", null),
  advice: fc.constantFrom("agrees", "partly", "misleads", "none", null),
  reported: fc.option(fc.integer({ min: 1, max: 12 }), { nil: null }),
  faulty: fc.option(fc.integer({ min: 1, max: 12 }), { nil: null }),
  state: fc.constantFrom("open", "judged", "verified"),
  working: fc.constantFrom(0, 1, 600, 601, 3_600, 86_400, 604_800, 604_801, null),
});
type Row = ReturnType<typeof recordRow.generate>["value"] & { position: number; created: string };

/** The Monday of the second week that is looked at. */
const begin = Date.UTC(2026, 8, 7);
const dayOf = (days: number) => new Date(begin + days * 86_400_000).toISOString().slice(0, 10);

let services: Awaited<ReturnType<typeof openTestServices>>;
let database: Database;
let course = "";
const [cases, students, assignments]: [string[], string[], string[]] = [[], [], []];

beforeAll(async () => {
  services = await openTestServices();
  database = services.database;
  course = await addCourse(database, "Kittiwake Crossing", "python");
  await addStudents(database, course, ["Auk", "Gull", "Tern"]);
  students.push(...(await listStudents(database, course)).map(({ key }) => key));
  for (const title of ["Deck loads", "Fares", "Tides"])
    assignments.push(await insertAssignment(database.query, course, { title, statement: "", languages: ["python"] }));
  for (let at = 0; at < 12; at++)
    cases.push(
      await collectCase(database, {
        ...{ language: "python", course, student: null, title: `Program ${at}`, intent: "", changedLast: "" },
        ...{ input: "", expected: "", actual: "", symptom: null },
        files: [{ name: "main.py", bytes: Buffer.from("print(1)\n") }],
      }),
    );
});
afterAll(() => services.close());

/** Puts rows into the record in place of what is there; each case has its student, assignment and time from its first row. */
async function put(drawn: ReadonlyArray<ReturnType<typeof recordRow.generate>["value"]>): Promise<Row[]> {
  const firsts = new Map<number, Row>();
  const positions = new Map<number, number>();
  const rows = drawn.map((each): Row => {
    const position = (positions.get(each.case) ?? 0) + 1;
    positions.set(each.case, position);
    const created = new Date(begin + each.at * 60_000).toISOString();
    const first = firsts.get(each.case);
    const row: Row = { ...each, position, created: first?.created ?? created };
    if (!first) firsts.set(each.case, row);
    return first ? { ...row, student: first.student, assignment: first.assignment, working: first.working } : row;
  });
  await database.query("delete from record");
  for (const [at, row] of rows.entries())
    await database.query(
      `insert into record (key, faulty_case, position, course, assignment, student, language, created_at, state, class, confirmed, outcome, cause,
         pattern, pattern_confirmed, signature, advice, reported_line, faulty_line, distance, differs, working_seconds)
       values ($1, $2, $3, $4, $5, $6, 'python', $7, $8, $9, $10, $11, $12, $13, $14, $15, $16, $17, $18, $17::int - $18::int, false, $19)`,
      [
        ...[`row ${at}`, cases[row.case], row.position, course, assignments[row.assignment], students[row.student]],
        ...[row.created, row.state, row.class, row.confirmed, row.outcome, row.cause, row.pattern, row.sure],
        ...[row.signature, row.advice, row.reported, row.faulty, row.working],
      ],
    );
  return rows;
}

const filters = fc.record(
  {
    student: fc.nat({ max: 2 }).map(String),
    assignment: fc.nat({ max: 2 }).map(String),
    class: fc.constantFrom(...classes),
    pattern: fc.constantFrom("limit-off-by-one", "colon-missing"),
    cause: fc.constantFrom("slip", "idea"),
    since: fc.integer({ min: 0, max: 27 }).map(dayOf),
    until: fc.integer({ min: 0, max: 27 }).map(dayOf),
    advice: fc.constantFrom("agrees", "misleads"),
  },
  { requiredKeys: [] },
);
/** The filter with the keys of this database. */
const asked = ({ student, assignment, ...others }: CaseFilter): CaseFilter => ({
  ...others,
  ...(student === undefined ? {} : { student: students[Number(student)] ?? "" }),
  ...(assignment === undefined ? {} : { assignment: assignments[Number(assignment)] ?? "" }),
});
const fits = (row: Row, filter: CaseFilter): boolean =>
  (filter.student === undefined || row.student === Number(filter.student)) &&
  (filter.assignment === undefined || row.assignment === Number(filter.assignment)) &&
  (filter.class === undefined || row.class === filter.class) &&
  (filter.pattern === undefined || row.pattern === filter.pattern) &&
  (filter.cause === undefined || row.cause === filter.cause) &&
  (filter.advice === undefined || row.advice === filter.advice) &&
  (filter.since === undefined || row.created.slice(0, 10) >= filter.since) &&
  (filter.until === undefined || row.created.slice(0, 10) <= filter.until);
const isFault = (row: Row) => row.class !== null && (row.outcome === null || row.outcome === "fault");

/** Rows by what a function says of them, without those of which it says null. */
function grouped<Key>(rows: readonly Row[], keyOf: (row: Row) => Key): Map<Key, Row[]> {
  const found = new Map<Key, Row[]>();
  for (const row of rows) found.set(keyOf(row), [...(found.get(keyOf(row)) ?? []), row]);
  return found;
}
const many = <Each>(all: readonly Each[], test: (each: Each) => boolean) => all.filter(test).length;
const different = (rows: readonly Row[], of: (row: Row) => unknown) => new Set(rows.map(of)).size;
/** Rows in an order of their own, so that what is told in any order can be compared. */
const sorted = <Each>(rows: readonly Each[]): Each[] =>
  rows.toSorted((one, other) => JSON.stringify(one).localeCompare(JSON.stringify(other)));
const byClass = (rows: readonly Row[]) =>
  Object.fromEntries(classes.map((of) => [of, many(rows, (row) => isFault(row) && row.class === of)]));

const mondayOf = (row: Row) => {
  const day = new Date(row.created);
  return new Date(day.getTime() - ((day.getUTCDay() + 6) % 7) * 86_400_000).toISOString().slice(0, 10);
};
const bucketOf = ({ reported, faulty }: Row): string => {
  if (reported === null) return "none";
  const off = reported - (faulty ?? 0);
  return off <= -6 ? "far" : off < 0 ? "above" : off === 0 ? "same" : off === 1 ? "next" : off <= 5 ? "below" : "deep";
};
const workingOf = ({ working }: Row): string =>
  working === null
    ? "not yet"
    : (([
        [0, "at once"],
        [600, "minutes"],
        [3_600, "hour"],
        [86_400, "day"],
        [604_800, "week"],
      ].find(([upTo]) => working <= Number(upTo))?.[1] as string) ?? "longer");

test("every question counts what is in the record, whatever it is narrowed to", async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(recordRow, { maxLength: 24 }),
      fc.array(filters, { minLength: 3, maxLength: 3 }),
      async (drawn, some) => {
        const all = await put(drawn);
        for (const given of [{}, ...some]) {
          const filter = asked(given);
          const rows = all.filter((row) => fits(row, given));
          const faults = rows.filter(isFault);
          for (const column of ["pattern", "class"] as const)
            expect(sorted(await countBy(database.query, column, filter))).toEqual(
              sorted(
                [...grouped(faults, (row) => row[column])].map(([of, own]) => ({
                  ...{ of, faults: own.length, students: different(own, (row) => row.student) },
                  sure: many(own, (row) => (column === "pattern" ? row.sure : row.confirmed)),
                })),
              ),
            );
          const { pattern: _, class: __, cause: ___, ...ofPrograms } = given;
          expect(await countByWeek(database.query, filter)).toEqual(
            [
              ...grouped(
                all.filter((row) => fits(row, ofPrograms)),
                mondayOf,
              ),
            ]
              .map(([week, own]) => ({
                week,
                programs: many(own, ({ position }) => position === 1),
                faults: many(own, (row) => isFault(row) && fits(row, given)),
                ...byClass(own.filter((row) => fits(row, given))),
              }))
              .toSorted((one, other) => one.week.localeCompare(other.week)),
          );
          expect(sorted(await countByMessage(database.query, filter, 100))).toEqual(
            sorted(
              [
                ...grouped(
                  faults.filter(({ signature }) => signature !== null),
                  (row) => row.signature,
                ),
              ].map(([signature, own]) => ({
                ...{ signature, language: "python", faults: own.length },
                ...Object.fromEntries(
                  ["agrees", "partly", "misleads"].map((advice) => [advice, many(own, (row) => row.advice === advice)]),
                ),
                unsaid: many(own, ({ advice }) => advice === null || advice === "none"),
                apart: many(own, ({ reported, faulty }) => reported !== null && faulty !== null && reported !== faulty),
              })),
            ),
          );
          expect(sorted(await countByDistance(database.query, filter))).toEqual(
            sorted(
              [
                ...grouped(
                  faults.filter(({ reported, faulty }) => reported === null || faulty !== null),
                  bucketOf,
                ),
              ].map(([of, own]) => ({ of, faults: own.length })),
            ),
          );
          expect(sorted(await countByWorkingTime(database.query, filter))).toEqual(
            sorted(
              [
                ...grouped(
                  rows.filter(({ position }) => position === 1),
                  workingOf,
                ),
              ].map(([of, own]) => ({
                ...{ of, programs: own.length },
              })),
            ),
          );
          const repeated = [
            ...grouped(
              faults.filter(({ pattern }) => pattern !== null),
              (row) => `${row.student} ${row.pattern}`,
            ),
          ];
          expect(sorted(await countByStudent(database.query, filter, 100))).toEqual(
            sorted(
              repeated.flatMap(([, own]) =>
                own.length < 2
                  ? []
                  : {
                      student: students[own[0]?.student ?? 0],
                      label: ["Auk", "Gull", "Tern"][own[0]?.student ?? 0],
                      ...{ pattern: own[0]?.pattern, faults: own.length, programs: different(own, (row) => row.case) },
                      open: many(own, ({ state }) => state !== "verified"),
                    },
              ),
            ),
          );
          const counted = await countByAssignment(database.query, filter);
          expect(counted.map(({ pattern: _, title: __, ...row }) => row)).toEqual(
            [...grouped(rows, (row) => row.assignment)]
              .toSorted(([one], [other]) => one - other)
              .map(([of, own]) => ({
                ...{ assignment: assignments[of], programs: different(own, (row) => row.case) },
                ...{ faults: many(own, isFault), ...byClass(own) },
              })),
          );
          // Of kinds that are met equally often any may be named, and none where no fault has one.
          for (const row of counted) {
            const own = faults.filter(
              (each) => assignments[each.assignment] === row.assignment && each.pattern !== null,
            );
            const often = [...grouped(own, (each) => each.pattern)].map(([of, each]) => ({ of, times: each.length }));
            const most = Math.max(0, ...often.map(({ times }) => times));
            expect(row.pattern === null ? 0 : often.find(({ of }) => of === row.pattern)?.times).toBe(most);
          }
        }
      },
    ),
    { numRuns: process.env.BENT_NAIL_LONG ? 200 : 15 },
  );
});
