import fc from "fast-check";
import { expect, test } from "vitest";
import { type MarkedRow, markTraceTable, traceMarks } from "./traceMarking.ts";

const columns = ["tide", "hour", "output"];
/** The real run: three passes of a loop. */
const key: MarkedRow[] = [
  { line: "1", cells: { tide: "2" } },
  { line: "2", cells: { hour: "0" } },
  { line: "3", cells: { tide: "4" } },
  { line: "4", cells: { output: "4" } },
  { line: "2", cells: { hour: "1" } },
  { line: "3", cells: { tide: "6" } },
  { line: "4", cells: { output: "6" } },
];
const none: ReadonlySet<string> = new Set();
const mark = (answer: MarkedRow[], given = none, whole = false) => markTraceTable(key, answer, columns, given, whole);
const row = (cells: Record<string, string>): MarkedRow => ({ cells });

test("the real table earns everything, a blank one nothing", () => {
  expect(mark(key)).toMatchObject({ wanted: 7, right: 7, surplus: 0, missingRows: [] });
  expect(traceMarks(mark(key), 6)).toBe(6);
  expect(traceMarks(mark(key.map((each) => ({ ...each, cells: {} }))), 6)).toBe(0);
  expect(traceMarks(mark([]), 6)).toBe(0);
});

test("a value that is repeated although it does not change equals a blank", () => {
  let tide = "";
  let hour = "";
  const repeated = key.map((each) => {
    tide = each.cells.tide ?? tide;
    hour = each.cells.hour ?? hour;
    return { ...each, cells: { ...each.cells, tide, hour } };
  });
  expect(mark(repeated)).toMatchObject({ right: 7, surplus: 0 });
});

test("a row left out costs its cells and does not spoil the rows after it", () => {
  expect(mark(key.filter((_, index) => index !== 2))).toMatchObject({ right: 6, surplus: 0, missingRows: [2] });
});

test("a row added costs once", () => {
  const added = [...key.slice(0, 3), row({ hour: "9", tide: "99" }), ...key.slice(3)];
  const marking = mark(added);
  expect(marking.surplus).toBe(1);
  expect(marking.right).toBeGreaterThanOrEqual(6);
});

test("cells that were given earn nothing and cost nothing", () => {
  const given = new Set(["0 tide", "1 hour"]);
  expect(mark(key, given)).toMatchObject({ wanted: 5, right: 5 });
  expect(
    mark(
      key.map((each, index) => (index < 2 ? { ...each, cells: {} } : each)),
      given,
      true,
    ),
  ).toMatchObject({ wanted: 5, right: 5, surplus: 0 });
});

test("with line numbers given rows belong together by their place", () => {
  const shifted = [row({}), ...key.slice(0, -1)];
  expect(mark(shifted, none, true).right).toBeLessThan(3);
});

test("wrong values cost only themselves; values where nothing changes take one away each", () => {
  const wrong = key.map((each, index) => (index === 3 ? { ...each, cells: { output: "5" } } : each));
  expect(mark(wrong)).toMatchObject({ right: 6, surplus: 0 });
  const surplus = key.map((each, index) => (index === 3 ? { ...each, cells: { ...each.cells, tide: "40" } } : each));
  expect(mark(surplus).surplus).toBeGreaterThanOrEqual(1);
});

const cells = fc.dictionary(fc.constantFrom(...columns), fc.constantFrom("1", "2", "3"), { maxKeys: 3 });
const tables = fc.array(cells.map(row), { maxLength: 8 });

test("marks are never below nothing nor above the task's marks, and right cells never more than the wanted ones", () => {
  fc.assert(
    fc.property(tables, tables, fc.boolean(), (right, answer, whole) => {
      const marking = markTraceTable(right, answer, columns, none, whole);
      expect(marking.right).toBeLessThanOrEqual(marking.wanted);
      const marks = traceMarks(marking, 5);
      expect(marks >= 0 && marks <= 5).toBe(true);
      expect(marking.rows).toHaveLength(answer.length);
      const pairs = marking.rows.map((each) => each.key).filter((each) => each !== null);
      expect(pairs).toEqual([...pairs].sort((one, other) => one - other));
    }),
  );
});

test("whatever the run, its own table earns everything", () => {
  fc.assert(
    fc.property(tables, (right) => {
      const marking = markTraceTable(right, right, columns, none, false);
      expect(marking.right - marking.surplus).toBe(marking.wanted);
    }),
  );
});
