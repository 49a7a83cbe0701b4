import fc from "fast-check";
import { expect, test } from "vitest";
import { createRecordingReader } from "./readRecording.ts";
import { buildTable } from "./table.ts";
import type { Trace } from "./trace.ts";

const outcome: Trace["outcome"] = {
  started: true,
  finished: true,
  stoppedBy: "none",
  exit: { code: 0, signal: 0 },
  diagnostics: [],
  console: [],
  effects: [],
  inputRanOut: false,
  milliseconds: 1,
  translator: "CPython",
};
const traceOf = (...tokens: unknown[]): Trace => ({
  outcome,
  files: ["a.py"],
  steps: createRecordingReader().read(JSON.stringify(tokens)) ?? [],
});
/** Gives global `name` (column `number`) a value on the last step. */
const give = (number: number, name: string, value: unknown) => [["d", number, 0, name], -number, value];

test("columns come in the order of the first value; a cell is blank where nothing changed", () => {
  const table = buildTable(traceOf(1, ...give(1, "tide", 2), 2, ...give(2, "hour", 0), 3, -1, 2, 3, -1, 3));
  expect(table.columns.map((column) => column.title)).toEqual(["tide", "hour"]);
  expect(table.rows.map((row) => row.cells)).toEqual([{ tide: "2" }, { hour: "0" }, {}, { tide: "3" }]);
});

test("rows for changes only", () => {
  expect(buildTable(traceOf(1, ...give(1, "tide", 2), 2), { rows: "change" }).rows.map((row) => row.line)).toEqual([1]);
});

test("an element changed in place shows the whole list, in every column that names it", () => {
  const table = buildTable(
    traceOf(
      1,
      ...give(1, "loads", ["list", null, 7, [1, 2], "l"]),
      2,
      ...give(2, "same", ["list", null, 7]),
      3,
      ["o", 7, [0], 9],
      4,
      ["o", 7, [2], 5],
    ),
  );
  expect(table.rows[2]?.cells).toEqual({ loads: "[9, 2]", same: "[9, 2]" });
  expect(table.rows[3]?.cells).toEqual({ loads: "[9, 2, 5]", same: "[9, 2, 5]" });
});

test("a list that holds itself is written once", () => {
  expect(
    buildTable(traceOf(1, ...give(1, "ring", ["list", null, 1, [["list", null, 1]], "l"]))).rows[0]?.cells.ring,
  ).toBe("[…]");
});

test("objects, dictionaries, sets and tuples are written as a person writes them", () => {
  const values = [
    [
      "Boat",
      null,
      1,
      [
        ["name", ["str", "'Tern'"]],
        ["load", 4],
      ],
      "o",
    ],
    ["dict", null, 2, [["'low'", true]], "d"],
    ["set", null, 3, [1], "s"],
    ["tuple", null, 0, [["list", null, 4, [], "l"], null], "t"],
  ];
  const table = buildTable(traceOf(...values.flatMap((value, index) => [1, ...give(index + 1, `v${index}`, value)])));
  expect(table.rows.flatMap((row) => Object.values(row.cells))).toEqual([
    "Boat(name='Tern', load=4)",
    "{'low': True}",
    "{1}",
    "([], None)",
  ]);
});

test("a variable of a function has one column for all its calls", () => {
  const table = buildTable(
    traceOf(["c", 1, 0, 1, 1, "fare"], ["d", 1, 1, "age"], -1, 3, ["c", 2, 0, 1, 1, "fare"], -1, 4),
  );
  expect(table.columns).toEqual([{ key: "fare.age", title: "age", scope: "function", functionName: "fare" }]);
  expect(table.rows.map((row) => row.cells["fare.age"])).toEqual(["3", "4"]);
});

test("a chunk that a program scribbled over is refused, not half read", () => {
  for (const chunk of [
    "[1,2",
    '{"a":1}',
    "[-1,5]",
    '["c"]',
    '[1,"x"]',
    '[1,["z"]]',
    '[1,["o",1,2,3]]',
    '[1,["d",1,0,"a"],-1,{}]',
  ])
    expect(createRecordingReader().read(chunk)).toBeNull();
});

test("any tokens are read or refused, never a fault", () => {
  const token = fc.oneof(
    fc.integer({ min: -3, max: 9 }),
    fc.constantFrom(
      "c",
      "r",
      null,
      true,
      ["k", "f"],
      ["v", 3],
      ["d", 1, 0, "a"],
      ["d", 2, 1, "b"],
      ["f", 1, 0, 1],
      ["o", 1, [0], 4],
      ["list", null, 1, [], "l"],
      ["-"],
    ),
    fc.jsonValue(),
  );
  fc.assert(
    fc.property(fc.array(token), (tokens) => {
      const steps = createRecordingReader().read(JSON.stringify(tokens));
      if (steps) expect(buildTable({ outcome, files: ["a.py"], steps }).rows).toHaveLength(steps.length);
    }),
  );
});
