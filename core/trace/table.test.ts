import fc from "fast-check";
import { expect, test } from "vitest";
import { createRecordingReader } from "./readRecording.ts";
import { buildTable, callCell, hasCalls, hasInput, inputCell } from "./table.ts";
import type { Step, Trace, Value, Write } from "./trace.ts";

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

/** Steps by their frame and writes; everything else is as in a program without calls. */
function steps(...given: Array<Partial<Step>>): { steps: Step[] } {
  return {
    steps: given.map((step, index) => ({ index, line: index + 1, file: 0, frame: 0, depth: 0, writes: [], ...step })),
  };
}
const number = (text: string): Value => ({ type: "int", text });
const listOf = (id: number, ...items: string[]): Value => ({
  ...{ type: "list", id, shape: "list" as const },
  items: items.map((text) => ({ value: number(text) })),
});
const again = (id: number): Value => ({ type: "list", id });
const unset: Value = { type: "int", text: "not set yet" };
const name = (owner: number, path: string, value: Value | null): Write => ({
  ...{ scope: "frame" as const, owner, path: [path], value },
});
const part = (owner: number, place: string | number, value: Value | null): Write => ({
  ...{ scope: "object" as const, owner, path: [place], value },
});
const cells = (trace: { steps: Step[] }) => buildTable(trace).rows.map((row) => row.cells);

test("what a call changes in its caller's list is shown where the caller goes on, not before and not later", () => {
  const trace = steps(
    { frame: 1, call: "main" },
    { frame: 1, writes: [name(1, "deck", listOf(7, "4"))], calls: true },
    { frame: 2, call: "fill", depth: 1, writes: [name(2, "loads", again(7))] },
    { frame: 2, depth: 1, writes: [part(7, 1, number("9"))] },
    { frame: 1, resumes: true },
    { frame: 1 },
  );
  expect(cells(trace)).toEqual([
    {},
    { "main.deck": "[4]" },
    { "fill.loads": "[4]" },
    { "fill.loads": "[4, 9]" },
    { "main.deck": "[4, 9]" },
    {},
  ]);
});

test("a call that is over shows nothing more, and the next call of the same function begins anew", () => {
  const trace = steps(
    { frame: 1, call: "load", writes: [name(1, "cars", listOf(7, "4"))] },
    { frame: 0, writes: [part(7, 0, number("5"))] },
    { frame: 2, call: "load", writes: [name(2, "cars", again(7))] },
  );
  expect(cells(trace)).toEqual([{ "load.cars": "[4]" }, {}, { "load.cars": "[5]" }]);
});

test("a column begins with the first value: what is not set yet is blank, and a question mark inside of something", () => {
  const row: Value = { ...listOf(3), items: [{ value: unset }, { value: unset }] };
  const trace = steps(
    { frame: 1, call: "main", writes: [name(1, "late", unset), name(1, "row", row), name(1, "soon", number("1"))] },
    { frame: 1, writes: [part(3, 1, number("8"))] },
    { frame: 1, writes: [name(1, "late", number("2"))] },
    { frame: 1, writes: [part(3, 0, number("7"))] },
  );
  expect(buildTable(trace).columns.map((column) => column.title)).toEqual(["soon", "row", "late"]);
  expect(cells(trace)).toEqual([
    { "main.soon": "1" },
    { "main.row": "[?, 8]" },
    { "main.late": "2" },
    { "main.row": "[7, 8]" },
  ]);
  // What never had a value has none to lose.
  expect(
    cells(steps({ frame: 1, call: "main", writes: [name(1, "x", unset)] }, { writes: [name(1, "x", null)] })),
  ).toEqual([{}, {}]);
});

test("when a name's scope is over, its column says nothing of what becomes of its object", () => {
  const trace = steps(
    { frame: 1, call: "main", writes: [name(1, "deck", listOf(7, "4")), name(1, "inner", again(7))], ended: ["inner"] },
    { frame: 1, writes: [part(7, 1, number("5"))] },
    { frame: 1, writes: [name(1, "inner", listOf(8, "4"))] },
    { frame: 1, writes: [name(1, "inner", listOf(9, "6"))] },
  );
  expect(cells(trace)).toEqual([
    { "main.deck": "[4]", "main.inner": "[4]" },
    { "main.deck": "[4, 5]" },
    {},
    { "main.inner": "[6]" },
  ]);
});

test("a change behind the shown part of a long list is told with its place; what is cut off is forgotten", () => {
  const long: Value = { ...listOf(7, "1", "2"), length: 200 };
  const global = (value: Value): Write => ({ scope: "global", owner: 0, path: ["loads"], value });
  const trace = steps(
    { writes: [global(long)] },
    { writes: [part(7, 150, number("9"))] },
    { writes: [part(7, 0, number("5")), part(7, 2, number("3"))] },
    { writes: [part(7, 160, number("4")), part(7, 170, number("6"))] },
    { writes: [part(7, "length", number("165"))] },
    { writes: [part(7, "length", number("2"))] },
  );
  expect(buildTable(trace, { rows: "change" }).rows.map((row) => row.cells.loads)).toEqual([
    "[1, 2, … 200 in all]",
    "[1, 2, … 200 in all; 150: 9]",
    "[5, 2, … 200 in all; 150: 9; 2: 3]",
    "[5, 2, … 200 in all; 2: 3; 160: 4; 170: 6]",
    "[5, 2, … 165 in all; 2: 3; 160: 4]",
    "[5, 2]",
  ]);
});

test("a row in which something was typed in counts as a change", () => {
  const { rows } = buildTable(steps({ in: "4\n" }, {}, { out: "Load ", unseen: "ad " }), { rows: "change" });
  expect(rows.map((row) => [inputCell(row), row.output, row.unseen])).toEqual([
    ["4", "", undefined],
    ["", "Load ", "ad "],
  ]);
  expect([hasInput({ rows }), hasInput({ rows: rows.slice(1) })]).toEqual([true, false]);
});

test("a field that is called length is a field; a dictionary's length is how much it holds", () => {
  const boat: Value = { type: "Boat", id: 1, shape: "object", items: [{ key: "length", value: number("4") }] };
  const seats: Value = {
    type: "dict",
    id: 2,
    shape: "dictionary",
    items: [{ key: "'length'", value: number("1") }],
    length: 5,
  };
  const global = (path: string, value: Value): Write => ({ scope: "global", owner: 0, path: [path], value });
  const trace = steps(
    { writes: [global("boat", boat), global("seats", seats)] },
    { writes: [part(1, "length", number("9"))] },
    { writes: [part(2, "length", number("6")), part(2, "'length'", number("2"))] },
  );
  expect(cells(trace)).toEqual([
    { boat: "Boat(length=4)", seats: "{'length': 1, … 5 in all}" },
    { boat: "Boat(length=9)" },
    { seats: "{'length': 2, … 6 in all}" },
  ]);
});

test("whatever is appended, put in, taken out and replaced: the cell is the list", () => {
  const change = fc.oneof(
    fc.record({ kind: fc.constant("append" as const), value: fc.nat(9) }),
    fc.record({ kind: fc.constant("set" as const), at: fc.nat(20), value: fc.nat(9) }),
    fc.record({ kind: fc.constant("pop" as const) }),
    fc.record({ kind: fc.constant("all" as const), values: fc.array(fc.nat(9), { maxLength: 5 }) }),
  );
  fc.assert(
    fc.property(fc.array(change, { maxLength: 15 }), (changes) => {
      let list = [1];
      const given: Array<Partial<Step>> = [
        { writes: [{ scope: "global", owner: 0, path: ["deck"], value: listOf(1, "1") }] },
      ];
      const expected = ["[1]"];
      for (const each of changes) {
        const writes: Write[] = [];
        if (each.kind === "append") writes.push(part(1, list.length, number(String(each.value))));
        if (each.kind === "append") list = [...list, each.value];
        if (each.kind === "set" && list.length > 0) {
          const at = each.at % list.length;
          writes.push(part(1, at, number(String(each.value))));
          list = list.with(at, each.value);
        }
        if (each.kind === "pop" && list.length > 0) {
          writes.push(part(1, list.length - 1, null));
          list = list.slice(0, -1);
        }
        if (each.kind === "all") {
          writes.push({ scope: "object", owner: 1, path: [], value: listOf(1, ...each.values.map(String)) });
          list = each.values;
        }
        given.push({ writes });
        expected.push(`[${list.join(", ")}]`);
      }
      let shown = "";
      const seen = cells(steps(...given)).map((row) => {
        shown = row.deck ?? shown;
        return shown;
      });
      expect(seen).toEqual(expected);
    }),
  );
});

test("a long list without an identity says itself what changed behind its shown part", () => {
  const list: Value = { ...listOf(0, "1", "2"), length: 9, behind: [{ key: "7", value: number("4") }] };
  const { id: _, ...value } = list;
  expect(cells(steps({ writes: [{ scope: "global", owner: 0, path: ["deck"], value }] }))).toEqual([
    { deck: "[1, 2, … 9 in all; 7: 4]" },
  ]);
  const read = createRecordingReader().read(
    JSON.stringify([1, ["d", 1, 0, "deck"], -1, ["list", null, 0, [1], "l", 9, [["7", 4]]]]),
  );
  expect(read?.[0]?.writes[0]?.value?.behind).toEqual([{ key: "7", value: { type: "int", text: "4" } }]);
  for (const bad of [[7], ["7"], [["7", ["-"]]], [null]])
    expect(
      createRecordingReader().read(JSON.stringify([1, ["d", 1, 0, "d"], -1, ["list", null, 0, [1], "l", 9, bad]])),
    ).toBeNull();
});

test("after a call of the same function the values of the one that goes on stand again", () => {
  const table = buildTable(
    steps(
      { frame: 1, depth: 1, call: "sail", writes: [name(1, "n", number("2"))] },
      { frame: 1, depth: 1, calls: true },
      { frame: 2, depth: 2, call: "sail", writes: [name(2, "n", number("1"))] },
      { frame: 2, depth: 2, returned: number("1") },
      { frame: 1, depth: 1, resumes: true, writes: [name(1, "rest", number("1"))] },
      { frame: 1, depth: 1, returned: number("3") },
      { frame: 0 },
    ),
  );
  expect(table.rows.map((row) => row.cells["sail.n"])).toEqual([
    "2",
    undefined,
    "1",
    undefined,
    "2",
    undefined,
    undefined,
  ]);
  expect(table.rows.map(callCell)).toEqual(["sail(2)", "", "sail(1)", "gives back 1", "", "gives back 3", ""]);
  expect(hasCalls(table)).toBe(true);
  expect(hasCalls(buildTable(steps({ frame: 1, call: "main", writes: [name(1, "n", number("2"))] })))).toBe(false);
});
