import fc from "fast-check";
import { expect, test } from "vitest";
import { packRows, unpackRows } from "../formats/packedTable.ts";
import { findLanguage } from "../languages/languages.ts";
import type { Outcome } from "../outcome/outcome.ts";
import { hasConditions, readableTable } from "./annotate.ts";
import { loopsIn, passesOf, passText } from "./passes.ts";
import type { TraceTable } from "./table.ts";
import { rowPolicies } from "./tableStyle.ts";
import type { Step, Trace } from "./trace.ts";

const python = findLanguage("python");
if (!python) throw new Error("python");

const outcome: Outcome = {
  ...{ started: true, finished: true, stoppedBy: "none", exit: { code: 0, signal: 0 }, diagnostics: [], console: [] },
  ...{ effects: [], inputRanOut: false, milliseconds: 1, translator: "" },
};

/** Steps of one call, each a line with what it gives names and prints. */
function run(...lines: Array<{ line: number; gives?: Record<string, number>; out?: string }>): Trace {
  const steps = lines.map(
    ({ line, gives = {}, out }, index): Step => ({
      ...{ index, line, file: 0, frame: 0, depth: 0, ...(out === undefined ? {} : { out }) },
      writes: Object.entries(gives).map(([name, value]) => ({
        ...{ scope: "global", owner: 0, path: [name] },
        value: { type: "int", text: String(value) },
      })),
    }),
  );
  return { outcome, files: ["p.py"], steps };
}

const text = `load = 0
for car in [4, 9]:
    load += car
    if load > 5 and car > 8:
        print(load)
print("end")
`;
const ferry = run(
  { line: 1, gives: { load: 0 } },
  { line: 2, gives: { car: 4 } },
  { line: 3, gives: { load: 4 } },
  { line: 4 },
  { line: 2, gives: { car: 9 } },
  { line: 3, gives: { load: 13 } },
  { line: 4 },
  { line: 5, out: "13\n" },
  { line: 2 },
  { line: 6, out: "end\n" },
);

test("decisions say what they came to and what was not looked at; passes are counted", () => {
  const table = readableTable(python, text, ferry);
  expect(table.rows.map((row) => row.condition)).toEqual([
    ...[undefined, undefined, undefined, "false; car > 8: not looked at", undefined, undefined, "true"],
    ...[undefined, undefined, undefined],
  ]);
  expect(hasConditions(table)).toBe(true);
  const passes = passesOf(python, text, ferry);
  expect(ferry.steps.map((_, place) => passText(passes.get(place)))).toEqual([
    "",
    "",
    "1",
    "1",
    "1",
    "2",
    "2",
    "2",
    "2",
    "",
  ]);
});

test("a row for each pass has the values at its end and all that was printed in it", () => {
  const { rows } = readableTable(python, text, ferry, { rows: "pass" });
  expect(rows.map(({ line, cells, output, pass }) => ({ line, cells, output, pass }))).toEqual([
    { line: 1, cells: { load: "0" }, output: "", pass: undefined },
    { line: 4, cells: { car: "4", load: "4" }, output: "", pass: "1" },
    { line: 5, cells: { car: "9", load: "13" }, output: "13\n", pass: "2" },
    { line: 2, cells: {}, output: "", pass: "2" },
    { line: 6, cells: {}, output: "end\n", pass: undefined },
  ]);
});

test("loops inside loops count each for themselves, and begin anew with every pass around them", () => {
  const nested = "while a < 2:\n    b = 0\n    while b < 2:\n        b += 1\n    a += 1\n";
  expect(loopsIn(python, nested)).toEqual([
    { header: 1, from: 2, to: 5, within: 0 },
    { header: 3, from: 4, to: 4, within: 1 },
  ]);
  const lines = [1, 2, 3, 4, 3, 4, 3, 5, 1, 2, 3, 4, 3, 4, 3, 5, 1];
  const trace = run(...lines.map((line) => ({ line })));
  const passes = passesOf(python, nested, trace);
  expect(lines.map((_, place) => passText(passes.get(place)))).toEqual([
    ...["", "1", "1", "1.1", "1.1", "1.2", "1.2", "1", "1"],
    ...["2", "2", "2.1", "2.1", "2.2", "2.2", "2", "2"],
  ]);
});

test("rows for the passes of a chosen loop: what goes on in the loops inside of it belongs to its pass", () => {
  const nested = "while a < 2:\n    b = 0\n    while b < 2:\n        b += 1\n    a += 1\nprint(a)\n";
  const lines = [1, 2, 3, 4, 3, 4, 3, 5, 1, 2, 3, 4, 3, 5, 1, 6];
  const trace = run(...lines.map((line, at) => ({ line, ...(line === 4 ? { gives: { b: at } } : {}), out: `${at} ` })));
  const shown = (loop?: number) =>
    readableTable(python, nested, trace, { rows: "pass", ...(loop === undefined ? {} : { loop }) }).rows.map(
      ({ line, pass = "", cells, output }) => `${line} ${pass} ${cells.b ?? "-"} ${output.trim()}`,
    );
  expect(shown(1)).toEqual(["5 1 5 0 1 2 3 4 5 6 7", "5 2 11 8 9 10 11 12 13", "1 2 - 14", "6  - 15"]);
  // The inner one's: each pass by itself, and by line what lies around it.
  expect(shown(3).filter((row) => row.startsWith("4"))).toEqual(["4 1.1 3 2 3", "4 1.2 5 4 5", "4 2.1 11 10 11"]);
  expect(shown(3)).toContain("5 1 - 7");
});

/** What is left when all has run: every column's last value, and everything that was printed. */
function ends({ rows }: TraceTable) {
  const last: Record<string, string> = {};
  for (const row of rows) Object.assign(last, row.cells);
  return { last, printed: rows.map((row) => row.output).join("") };
}

const program = "a = 1\nwhile a < 9:\n    b = a\n    if b > 3:\n        c = b\n    print(a)\n    a += 1\nprint(c)\n";
const lines = fc.array(
  fc.record({
    line: fc.integer({ min: 1, max: 8 }),
    gives: fc.dictionary(fc.constantFrom("a", "b", "c"), fc.integer({ min: 0, max: 3 }), { maxKeys: 2 }),
    out: fc.option(fc.constantFrom("1\n", "x"), { nil: undefined }),
  }),
  { maxLength: 40 },
);

test("one run in three layouts holds the same values", () => {
  fc.assert(
    fc.property(lines, (given) => {
      const trace = run(...given.map(({ out, ...rest }) => ({ ...rest, ...(out === undefined ? {} : { out }) })));
      const tables = rowPolicies.map((rows) => readableTable(python, program, trace, { rows }));
      expect(tables.map(ends)).toEqual(tables.map(() => ends(tables[0] as TraceTable)));
    }),
  );
});

test("rows that are packed for the page come out as they were", () => {
  fc.assert(
    fc.property(lines, fc.constantFrom(...rowPolicies), (given, rows) => {
      const trace = run(...given.map(({ out, ...rest }) => ({ ...rest, ...(out === undefined ? {} : { out }) })));
      const table = readableTable(python, program, trace, { rows });
      expect(unpackRows(packRows(table), table.columns)).toEqual(table.rows);
    }),
  );
});

/** A loop that is gone round so many times. */
const round = (times: number, ...lines: Parameters<typeof run>) => Array.from({ length: times }, () => lines).flat();

test("a loop that was never entered, and one that goes round for ever, are said as last rows", () => {
  const never = "load = 9\nwhile load < 5:\n    load += 1\nprint(load)\n";
  const trace = run({ line: 1, gives: { load: 9 } }, { line: 2 }, { line: 4, out: "9\n" });
  expect(readableTable(python, never, trace).remarks).toEqual([
    "The loop in line 2 was never entered: its condition was false at once.",
  ]);
  const ever = "load = 0\nwhile load < 5:\n    cars = 3\n    total = cars\n";
  const stuck = {
    ...run({ line: 1, gives: { load: 0 } }, ...round(5, { line: 2 }, { line: 3 }, { line: 4 })),
    cut: "cut",
  };
  expect(readableTable(python, ever, stuck).remarks).toEqual([
    "The loop in line 2 repeats for ever: nothing changes from one pass to the next.",
  ]);
  const counted = [1, 2, 3, 4, 5].flatMap((total) => [{ line: 2 }, { line: 3 }, { line: 4, gives: { total } }]);
  const other = { ...run({ line: 1, gives: { load: 0 } }, ...counted), cut: "cut" };
  const said = ["The loop in line 2 repeats for ever: load never changes in it."];
  expect(readableTable(python, ever, other).remarks).toEqual(said);
  // Whichever columns are shown, and in whichever rows.
  expect(readableTable(python, ever, other, { columns: ["load"], rows: "pass" }).remarks).toEqual(said);
});

test("of a loop that comes to its end, or that was cut off while it counts, nothing is said", () => {
  expect(readableTable(python, text, ferry).remarks).toBe(undefined);
  const counting = "load = 0\nwhile load < 5000:\n    load += 1\n";
  const steps = [1, 2, 3, 4, 5].flatMap((load) => [{ line: 2 }, { line: 3, gives: { load } }]);
  expect(readableTable(python, counting, { ...run(...steps), cut: "cut" }).remarks).toBe(undefined);
});

test("what changed in any pass so far may change again: a loop that counts slowly is not said to go round for ever", () => {
  const slowly = "load = 0\ncars = 0\nwhile cars < 900:\n    load += 1\n    if load % 4 == 0:\n        cars += 1\n";
  const passes = [1, 2, 3, 4, 5, 6, 7].flatMap(
    (load): Parameters<typeof run> => [
      { line: 3 },
      { line: 4, gives: { load } },
      { line: 5 },
      ...(load === 4 ? [{ line: 6, gives: { cars: 1 } }] : []),
    ],
  );
  const trace = { ...run({ line: 1, gives: { load: 0 } }, { line: 2, gives: { cars: 0 } }, ...passes), cut: "cut" };
  expect(readableTable(python, slowly, trace).remarks).toBe(undefined);
});

test("a loop over nothing was never entered either", () => {
  const over = "loads = []\nfor load in loads:\n    print(load)\nprint('none')\n";
  const trace = run({ line: 1 }, { line: 2 }, { line: 4, out: "none\n" });
  expect(readableTable(python, over, trace).remarks).toEqual([
    "The loop in line 2 was never entered: there was nothing to go through.",
  ]);
  // Where the run was stopped in its header nothing is known of it.
  expect(readableTable(python, over, run({ line: 1 }, { line: 2 })).remarks).toBe(undefined);
});

test("what is called in a pass belongs to it", () => {
  const calls = "def fare(age):\n    return age * 2\nfor age in [4, 9]:\n    total = fare(age)\nprint(total)\n";
  const at = (line: number, more: Partial<Step>) => ({ line, more });
  const given = [
    ...[at(1, {}), at(3, {}), at(4, { calls: true }), at(1, { frame: 1, depth: 1, call: "fare" })],
    ...[at(2, { frame: 1, depth: 1 }), at(4, { resumes: true }), at(3, {}), at(4, { calls: true })],
    ...[at(1, { frame: 2, depth: 1, call: "fare" }), at(2, { frame: 2, depth: 1 }), at(4, { resumes: true })],
    ...[at(3, {}), at(5, {})],
  ];
  const plain = run(...given.map(({ line }) => ({ line })));
  const trace = { ...plain, steps: plain.steps.map((step, index) => ({ ...step, ...given[index]?.more })) };
  const { rows } = readableTable(python, calls, trace, { rows: "pass" });
  expect(rows.map((row) => `${row.line} ${row.pass ?? ""}`)).toEqual(["1 ", "4 1", "4 2", "3 2", "5 "]);
});
