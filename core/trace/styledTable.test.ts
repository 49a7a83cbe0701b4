import fc from "fast-check";
import { expect, test } from "vitest";
import { headingsOf, headingText } from "./headings.ts";
import { repeatedCells } from "./repeatUnchanged.ts";
import { buildTable, callCell } from "./table.ts";
import { readTableStyle, tableStyleSchema, usualStyle, type ValueStyle } from "./tableStyle.ts";
import type { Step, Value, Write } from "./trace.ts";

const whole = (number: number): Value => ({ type: "int", text: String(number) });
const text = (inside: string): Value => ({ type: "str", text: `'${inside}'` });
const put = (name: string, value: Value): Write => ({ scope: "global", owner: 0, path: [name], value });
const change = (owner: number, part: string | number, value: Value | null): Write => ({
  ...{ scope: "object", owner, path: [part], value },
});
const ferry = (id: number, load: number): Value => ({
  ...{ type: "Ferry", id, shape: "object" },
  items: [
    { key: "name", value: text("Tern") },
    { key: "load", value: whole(load) },
  ],
});
const list = (id: number, ...items: Value[]): Value => ({
  ...{ type: "list", id, shape: "list" },
  items: items.map((value) => ({ value })),
});
const steps = (...writes: Write[][]): Step[] =>
  writes.map((each, index) => ({ index, line: index + 1, file: 0, frame: 0, depth: 0, writes: each }));
const named: ValueStyle = { texts: "quoted", truth: "as written", objects: "named" };
const cellsOf = (given: Step[], style: ValueStyle = named) =>
  buildTable({ steps: given }, { style }).rows.map((row) => row.cells);

test("an object has one short name, stands whole once and then by what changed", () => {
  const run = steps(
    [put("tern", ferry(1, 3))],
    [put("flag", { type: "Ferry", id: 1 })],
    [change(1, "load", whole(5))],
    [put("deck", list(2, { type: "Ferry", id: 1 }, ferry(3, 0)))],
    [change(3, "load", whole(9)), change(2, 0, { type: "Ferry", id: 3 })],
    [change(1, "name", null)],
  );
  expect(cellsOf(run)).toEqual([
    { tern: "Ferry 1(name='Tern', load=3)" },
    { flag: "Ferry 1" },
    // Told once, in the first column that shows it.
    { tern: "Ferry 1: load=5" },
    { deck: "[Ferry 1, Ferry 2(name='Tern', load=0)]" },
    { deck: "[Ferry 2, Ferry 2]; Ferry 2: load=9" },
    { tern: "Ferry 1: name gone" },
  ]);
  expect(buildTable({ steps: run }, { style: named }).rows[4]?.objects).toEqual({
    "Ferry 2": "Ferry(name='Tern', load=9)",
  });
  expect(cellsOf(run, { ...named, objects: "whole" })[2]).toEqual({
    ...{ tern: "Ferry(name='Tern', load=5)", flag: "Ferry(name='Tern', load=5)" },
  });
});

test("a list has a name where two names hold it, and stands whole where one does", () => {
  const alone = steps([put("deck", list(1, whole(3)))], [change(1, 1, whole(4))]);
  expect(cellsOf(alone)).toEqual([{ deck: "[3]" }, { deck: "[3, 4]" }]);
  const both = steps(
    [put("deck", list(1, whole(3)))],
    [put("same", { type: "list", id: 1 })],
    [change(1, 1, whole(4))],
    [put("same", list(2, whole(0)))],
  );
  expect(cellsOf(both)).toEqual([
    { deck: "list 1 [3]" },
    { same: "list 1" },
    { deck: "list 1: [1]=4" },
    { same: "[0]" },
  ]);
});

test("texts without quotes and truths in plain words, inside of lists as well", () => {
  const run = steps([
    put("name", text("Tern")),
    put("full", { type: "bool", text: "False" }),
    put("ready", { type: "logical", text: "1" }),
    put("names", list(1, text("Auk"), text("it's"), { type: "_Bool", text: "true" })),
  ]);
  expect(cellsOf(run, { texts: "plain", truth: "plain", objects: "named" })[0]).toEqual({
    ...{ name: "Tern", full: "false", ready: "true", names: "[Auk, it's, true]" },
  });
});

test("a column for each element or field, with the length, and what is gone", () => {
  const run = steps(
    [put("deck", list(1, whole(4), whole(5))), put("tern", ferry(2, 0)), put("word", text("ab"))],
    [change(1, 1, whole(6)), change(1, 2, whole(7)), put("word", text("xb"))],
    [change(1, 2, null), change(2, "load", whole(3)), put("word", text("x"))],
  );
  const table = buildTable({ steps: run }, { style: named, elements: ["deck", "tern", "word"] });
  expect(table.columns.map((column) => column.title)).toEqual([
    ...["length of deck", "deck[0]", "deck[1]", "deck[2]", "tern.name", "tern.load"],
    ...["length of word", "word[0]", "word[1]"],
  ]);
  const shown = table.rows.map((row) => table.columns.map((column) => row.cells[column.key] ?? ""));
  expect(shown).toEqual([
    ["2", "4", "5", "", "'Tern'", "0", "2", "'a'", "'b'"],
    ["3", "", "6", "7", "", "", "", "'x'", ""],
    ["2", "", "", "(gone)", "", "3", "1", "", "(gone)"],
  ]);
});

test("methods of two classes with one name are two columns, each under its class", () => {
  const call = (index: number, frame: number, className: string, load: number): Step => ({
    ...{ index, line: index, file: 0, frame, depth: 1, call: "board", className },
    writes: [
      { scope: "frame", owner: frame, path: ["self"], value: { ...ferry(frame, load), type: className } },
      { scope: "frame", owner: frame, path: ["load"], value: whole(load) },
    ],
  });
  const table = buildTable({ steps: [call(1, 1, "Ferry", 3), call(2, 2, "Pier", 4)] }, { style: named });
  expect(headingsOf(table.columns).map(headingText)).toEqual([
    ...["Ferry.board: self", "Ferry.board: load", "Pier.board: self", "Pier.board: load"],
  ]);
  expect(table.rows.map(callCell)).toEqual(["Ferry 1.board(3)", "Pier 1.board(4)"]);
});

test("headings: main alone is not named, what makes an object is said in plain words", () => {
  const column = (functionName: string | undefined, title: string, className?: string) => ({
    ...{ title, ...(functionName === undefined ? {} : { functionName }) },
    ...(className === undefined ? {} : { className }),
  });
  const words = (...columns: ReturnType<typeof column>[]) => headingsOf(columns).map(headingText);
  expect(words(column("main", "total"), column("main", "load"))).toEqual(["total", "load"]);
  expect(words(column("start", "total"))).toEqual(["total"]);
  expect(words(column("main", "total"), column(undefined, "total"))).toEqual(["main: total", "total"]);
  expect(words(column("main", "total"), column("load", "total"))).toEqual(["main: total", "load: total"]);
  expect(words(column("__init__", "self", "Ferry"), column("Pier", "this", "Pier"))).toEqual([
    ...["new Ferry: self", "new Pier: own object"],
  ]);
});

test("repeated values: of a function while one of its calls is open", () => {
  const run: Step[] = [
    { index: 0, line: 1, file: 0, frame: 0, depth: 0, writes: [put("total", whole(1))] },
    {
      ...{ index: 1, line: 2, file: 0, frame: 1, depth: 1, call: "load" },
      writes: [{ scope: "frame", owner: 1, path: ["at"], value: whole(7) }],
    },
    { index: 2, line: 3, file: 0, frame: 1, depth: 1, writes: [] },
    { index: 3, line: 4, file: 0, frame: 0, depth: 0, writes: [] },
  ];
  expect(repeatedCells(buildTable({ steps: run }))).toEqual([
    {},
    { total: "1" },
    { total: "1", "load.at": "7" },
    { total: "1" },
  ]);
});

/** Runs in which objects are made, held by several names, and changed. */
const runs = fc
  .array(
    fc.oneof(
      fc.record({ kind: fc.constant("make" as const), name: fc.constantFrom("a", "b", "c"), load: fc.nat(9) }),
      fc.record({ kind: fc.constant("alias" as const), name: fc.constantFrom("a", "b", "c"), of: fc.nat(5) }),
      fc.record({ kind: fc.constant("change" as const), of: fc.nat(5), load: fc.nat(9) }),
      fc.record({ kind: fc.constant("hold" as const), of: fc.nat(5), by: fc.nat(5) }),
    ),
    { minLength: 1, maxLength: 30 },
  )
  .map((events) => {
    let made = 0;
    return steps(
      ...events.map((event): Write[] => {
        if (event.kind === "make") return [put(event.name, ferry(++made, event.load))];
        const of = event.of + 1;
        if (of > made) return [];
        if (event.kind === "alias") return [put(event.name, { type: "Ferry", id: of })];
        if (event.kind === "change") return [change(of, "load", whole(event.load))];
        return event.by < made ? [change(of, "next", { type: "Ferry", id: event.by + 1 })] : [];
      }),
    );
  });

test("by their names and what was told of them, all objects are what they are when written whole", () => {
  fc.assert(
    fc.property(runs, (run) => {
      const names = buildTable({ steps: run }, { style: named }).rows;
      const full = buildTable({ steps: run }).rows;
      const told = new Map<string, string>();
      const held = new Map<string, string>();
      const shown = new Map<string, string>();
      for (const [at, row] of names.entries()) {
        for (const [name, inside] of Object.entries(row.objects ?? {})) told.set(name, inside);
        for (const [key, cell] of Object.entries(row.cells)) held.set(key, row.short?.[key] ?? cell);
        for (const [key, cell] of Object.entries(full[at]?.cells ?? {})) shown.set(key, cell);
        for (const [key, name] of held) {
          // Named objects stand for all that they hold, as far as nothing holds itself.
          const open = (of: string, depth: number): string =>
            (told.get(of) ?? of).replace(/Ferry \d+/g, (inner) => (depth > 8 ? "…" : open(inner, depth + 1)));
          const opened = open(name, 0);
          if (!opened.includes("…") && !shown.get(key)?.includes("…")) expect(opened).toBe(shown.get(key));
        }
      }
    }),
    { numRuns: 300 },
  );
});

test("a style is read from its file; what is none is refused with where it is wrong", () => {
  expect(readTableStyle('{"name":"Paper","unchanged":"repeated"}')).toEqual({
    ...{ ok: true, style: { ...usualStyle, name: "Paper", unchanged: "repeated" } },
  });
  for (const [wrong, where] of [
    ["unchanged: repeated", "JSON object"],
    ['{"unchanged":"sometimes"}', "at unchanged"],
    ['{"columns":["weather"]}', "at columns.0"],
    ['{"colour":"red"}', "colour"],
    ["[]", "object"],
  ] as const) {
    const read = readTableStyle(wrong);
    expect(read.ok ? "" : read.message).toContain(where);
  }
  expect(tableStyleSchema.safeParse({ name: "two\nlines" }).success).toBe(false);
});
