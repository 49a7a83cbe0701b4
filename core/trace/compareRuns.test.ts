import fc from "fast-check";
import { expect, test } from "vitest";
import { compareRuns } from "./compareRuns.ts";
import type { TableRow, TraceTable } from "./table.ts";

type Given = { line: number; cells?: Record<string, string>; output?: string };
function table(...rows: Given[]): TraceTable {
  const columns = [...new Set(rows.flatMap((row) => Object.keys(row.cells ?? {})))];
  return {
    columns: columns.map((key) => ({ key, title: key, scope: "global" })),
    rows: rows.map((row, step): TableRow => ({ step, file: 0, depth: 0, cells: {}, output: "", ...row })),
  };
}

const faulty = "load = 0\nfor car in [4, 9]:\n    load = car\nprint(load)\n";
const mended = "# Loads\nload = 0\nfor car in [4, 9]:\n    load = load + car\nprint(load)\n";
const faultyRun = table(
  { line: 1, cells: { load: "0" } },
  { line: 2, cells: { car: "4" } },
  { line: 3, cells: { load: "4" } },
  { line: 2, cells: { car: "9" } },
  { line: 3, cells: { load: "9" } },
  { line: 2 },
  { line: 4, output: "9\n" },
);
const mendedRun = table(
  { line: 2, cells: { load: "0" } },
  { line: 3, cells: { car: "4" } },
  { line: 4, cells: { load: "4" } },
  { line: 3, cells: { car: "9" } },
  { line: 4, cells: { load: "13" } },
  { line: 3 },
  { line: 5, output: "13\n" },
);

test("a faulty and a mended run are aligned though lines moved, and the first cell that differs is named", () => {
  const { pairs, first } = compareRuns({ text: faulty, table: faultyRun }, { text: mended, table: mendedRun });
  expect(pairs.map(({ left, right }) => [left?.line, right?.line])).toEqual([
    [1, 2],
    [2, 3],
    [3, 4],
    [2, 3],
    [3, 4],
    [2, 3],
    [4, 5],
  ]);
  expect(first).toEqual({ pair: 4, column: "load" });
});

test("the same run twice has no difference", () => {
  expect(compareRuns({ text: faulty, table: faultyRun }, { text: faulty, table: faultyRun }).first).toBe(null);
});

test("a pass that only one of them makes stands alone, and what follows is aligned again", () => {
  const longer = table(
    ...faultyRun.rows.slice(0, 5).map(({ line, cells }) => ({ line, cells: { ...cells } })),
    { line: 2, cells: { car: "7" } },
    { line: 3, cells: { load: "7" } },
    { line: 2 },
    { line: 4, output: "7\n" },
  );
  const { pairs, first } = compareRuns({ text: faulty, table: faultyRun }, { text: faulty, table: longer });
  expect(pairs).toHaveLength(9);
  expect(pairs.filter(({ left, right }) => left === null || right === null)).toHaveLength(2);
  expect(pairs.at(-1)).toMatchObject({ left: { line: 4 }, right: { line: 4 } });
  expect(first?.pair).toBe(5);
});

const rows = fc.array(
  fc.record({
    line: fc.integer({ min: 1, max: 5 }),
    cells: fc.dictionary(fc.constantFrom("load", "car"), fc.constantFrom("1", "2"), { maxKeys: 2 }),
    output: fc.constantFrom("", "1\n"),
  }),
  { maxLength: 30 },
);
test("every row of both runs is there once, in order, and rows beside each other ran the same line", () => {
  fc.assert(
    fc.property(
      rows,
      rows,
      fc.constantFrom(faulty, mended),
      fc.constantFrom(faulty, mended),
      (one, other, text, changed) => {
        const [left, right] = [table(...one), table(...other)];
        const { pairs, first } = compareRuns({ text, table: left }, { text: changed, table: right });
        expect(pairs.flatMap((pair) => pair.left ?? [])).toEqual(left.rows);
        expect(pairs.flatMap((pair) => pair.right ?? [])).toEqual(right.rows);
        expect(pairs.some((pair) => pair.left === null && pair.right === null)).toBe(false);
        if (text === changed)
          for (const pair of pairs) if (pair.left && pair.right) expect(pair.left.line).toBe(pair.right.line);
        if (first === null) expect(left.rows).toHaveLength(right.rows.length);
      },
    ),
  );
});

test("long runs with next to nothing in common stand beside each other row by row", () => {
  const run = (step: number) =>
    table(...Array.from({ length: 5000 }, (_, at) => ({ line: ((at * step) % 91) + 1, cells: { load: String(at) } })));
  const [left, right] = [run(7), run(11)];
  const { pairs, first } = compareRuns({ text: faulty, table: left }, { text: faulty, table: right });
  expect(pairs.map((pair) => pair.left)).toEqual(left.rows);
  expect(pairs.map((pair) => pair.right)).toEqual(right.rows);
  // The first rows ran one line; the second ones do not.
  expect(first).toEqual({ pair: 1, column: "line" });
});
