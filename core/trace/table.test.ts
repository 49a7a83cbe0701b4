import { expect, test } from "vitest";
import { readRecordingChunk } from "./readRecording.ts";
import { buildTable } from "./table.ts";
import type { Trace } from "./trace.ts";

const outcome: Trace["outcome"] = {
  started: true,
  finished: true,
  stoppedBy: "none",
  exit: { code: 0, signal: 0 },
  diagnostics: [],
  console: [],
  inputRanOut: false,
  milliseconds: 1,
  translator: "CPython",
};
const traceOf = (...steps: unknown[]): Trace => ({ outcome, files: ["a.py"], steps: readRecordingChunk(JSON.stringify(steps), 0) ?? [] });

test("columns come in the order of the first value; a cell is blank where nothing changed", () => {
  const table = buildTable(
    traceOf(
      [1, 0, 0, 0, 0, [[0, 0, ["tide"], ["int", "2"]]]],
      [2, 0, 0, 0, 0, [[0, 0, ["hour"], ["int", "0"]]]],
      [3, 0, 0, 0, 0, [[0, 0, ["tide"], ["int", "2"]]]],
      [3, 0, 0, 0, 0, [[0, 0, ["tide"], ["int", "3"]]]],
    ),
  );
  expect(table.columns.map((column) => column.title)).toEqual(["tide", "hour"]);
  expect(table.rows.map((row) => row.cells)).toEqual([{ tide: "2" }, { hour: "0" }, {}, { tide: "3" }]);
});

test("rows for changes only", () => {
  const trace = traceOf([1, 0, 0, 0, 0, [[0, 0, ["tide"], ["int", "2"]]]], [2, 0, 0, 0, 0, 0]);
  expect(buildTable(trace, { rows: "change" }).rows.map((row) => row.line)).toEqual([1]);
});

test("an element changed in place shows the whole list, in every column that names it", () => {
  const list = [
    "list",
    null,
    7,
    [
      ["int", "1"],
      ["int", "2"],
    ],
    "l",
  ];
  const table = buildTable(
    traceOf(
      [1, 0, 0, 0, 0, [[0, 0, ["loads"], list]]],
      [2, 0, 0, 0, 0, [[0, 0, ["same"], ["list", null, 7]]]],
      [3, 0, 0, 0, 0, [[2, 7, [0], ["int", "9"]]]],
      [4, 0, 0, 0, 0, [[2, 7, [2], ["int", "5"]]]],
    ),
  );
  expect(table.rows[2]?.cells).toEqual({ loads: "[9, 2]", same: "[9, 2]" });
  expect(table.rows[3]?.cells).toEqual({ loads: "[9, 2, 5]", same: "[9, 2, 5]" });
});

test("a list that holds itself is written once", () => {
  const table = buildTable(traceOf([1, 0, 0, 0, 0, [[0, 0, ["ring"], ["list", null, 1, [["list", null, 1]], "l"]]]]));
  expect(table.rows[0]?.cells.ring).toBe("[…]");
});

test("objects, dictionaries, sets and tuples are written as a person writes them", () => {
  const values = [
    [
      "Boat",
      null,
      1,
      [
        ["name", ["str", "'Tern'"]],
        ["load", ["int", "4"]],
      ],
      "o",
    ],
    ["dict", null, 2, [["'low'", ["int", "1"]]], "d"],
    ["set", null, 3, [["int", "1"]], "s"],
    ["tuple", null, 0, [["list", null, 4, [], "l"]], "t"],
  ];
  const table = buildTable(traceOf(...values.map((value, index) => [1, 0, 0, 0, 0, [[0, 0, [`v${index}`], value]]])));
  expect(table.rows.flatMap((row) => Object.values(row.cells))).toEqual(["Boat(name='Tern', load=4)", "{'low': 1}", "{1}", "([],)"]);
});

test("a variable of a function has one column for all its calls", () => {
  const table = buildTable(
    traceOf([1, 0, 1, 1, { call: "fare" }, [[1, 1, ["age"], ["int", "3"]]]], [1, 0, 2, 1, { call: "fare" }, [[1, 2, ["age"], ["int", "4"]]]]),
  );
  expect(table.columns).toEqual([{ key: "fare.age", title: "age", scope: "function", functionName: "fare" }]);
  expect(table.rows.map((row) => row.cells["fare.age"])).toEqual(["3", "4"]);
});

test("a chunk that a program scribbled over is refused, not half read", () => {
  expect(readRecordingChunk("[[1,0,0,0,0,0],", 0)).toBeNull();
  expect(readRecordingChunk('[["x"]]', 0)).toBeNull();
  expect(readRecordingChunk('{"a":1}', 0)).toBeNull();
});
