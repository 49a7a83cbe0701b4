import fc from "fast-check";
import { expect, test } from "vitest";
import { type Alignment, alignRows } from "./alignRows.ts";

type Cells = Record<string, string>;
const columns = ["deck", "load", "output"];
const tableOf = (rows: readonly Cells[], more: Partial<Alignment> = {}): Alignment => ({
  ...{ key: rows.map((cells, at) => ({ line: at + 1, cells })), columns, given: new Set<string>() },
  ...{ linesGiven: false, reading: {}, cut: false, prompts: [], follows: () => false },
  ...more,
});
const mark = (rows: readonly Cells[], answer: readonly Cells[], more: Partial<Alignment> = {}) =>
  alignRows(
    tableOf(rows, more),
    answer.map((cells) => ({ cells })),
  );

/** Tables whose cells all differ from what stood in their column before: none of them is a repeat. */
const tables = () =>
  fc
    .array(fc.uniqueArray(fc.constantFrom(...columns), { minLength: 1 }), { minLength: 1, maxLength: 12 })
    .map((rows) =>
      rows.map((named, at): Cells => Object.fromEntries(named.map((column) => [column, `${column} ${at}`]))),
    );
const cellsOf = (rows: readonly Cells[]) => rows.reduce((sum, row) => sum + Object.keys(row).length, 0);

test("the key itself costs nothing, and every cell of it earns", () => {
  fc.assert(
    fc.property(tables(), (rows) => {
      expect(mark(rows, rows)).toMatchObject({ slips: 0, right: cellsOf(rows), notation: false });
    }),
  );
});

test("an empty answer misses every cell, once", () => {
  fc.assert(
    fc.property(tables(), (rows) => {
      expect(mark(rows, [])).toMatchObject({ slips: cellsOf(rows), right: 0 });
    }),
  );
});

test("a row that is left out costs its own cells, and shifts nothing behind it", () => {
  fc.assert(
    fc.property(tables(), fc.nat(), (rows, place) => {
      const at = place % rows.length;
      const left = cellsOf([rows[at] ?? {}]);
      expect(mark(rows, rows.toSpliced(at, 1))).toMatchObject({ slips: left, right: cellsOf(rows) - left });
    }),
  );
});

test("a row too many costs one, however many cells it has", () => {
  fc.assert(
    fc.property(tables(), fc.nat(), (rows, place) => {
      const more = { deck: "none", load: "none", output: "none" };
      expect(mark(rows, rows.toSpliced(place % (rows.length + 1), 0, more))).toMatchObject({
        slips: 1,
        right: cellsOf(rows),
      });
    }),
  );
});

test("unchanged values that are written again cost nothing", () => {
  fc.assert(
    fc.property(tables(), (rows) => {
      const standing: Cells = {};
      const repeated = rows.map((row) => {
        Object.assign(standing, row, { output: "" });
        return { ...standing, output: row.output ?? "" };
      });
      expect(mark(rows, repeated)).toMatchObject({ slips: 0, right: cellsOf(rows) });
    }),
  );
});

test("every cell of the key gets one verdict, whatever was answered", () => {
  const answers = fc.array(
    fc.dictionary(fc.constantFrom(...columns), fc.constantFrom("deck 0", "load 1", "output 2", "7", "-", " ", "?")),
    { maxLength: 15 },
  );
  fc.assert(
    fc.property(tables(), answers, fc.boolean(), (rows, answer, linesGiven) => {
      const found = mark(rows, answer, { linesGiven });
      const judged = found.noted.filter(({ verdict }) => !["surplus", "repeat"].includes(verdict));
      expect(judged).toHaveLength(cellsOf(rows));
      expect(new Set(judged.map(({ key, column }) => `${key} ${column}`)).size).toBe(judged.length);
      expect(found.right).toBe(judged.filter(({ verdict }) => /right|follows/.test(verdict)).length);
      expect(found.slips).toBeGreaterThanOrEqual(cellsOf(rows) - found.right);
    }),
  );
});

test("where lines are printed a row is held against the one in its place", () => {
  const rows = [{ deck: "1" }, { deck: "2" }, { deck: "3" }];
  const late: Cells[] = [{}, { deck: "1" }, { deck: "2" }, { deck: "3" }];
  expect(mark(rows, late)).toMatchObject({ slips: 0, right: 3 });
  expect(mark(rows, late, { linesGiven: true }).right).toBe(0);
});

test("what is printed on the sheet is neither earned nor missed", () => {
  const rows = [{ deck: "1" }, { deck: "2" }];
  expect(mark(rows, [{}, { deck: "2" }], { given: new Set(["0 deck"]) })).toMatchObject({ slips: 0, right: 1 });
  expect(mark(rows, [], { given: new Set(["0 deck"]) })).toMatchObject({ slips: 1, right: 0 });
});

test("what follows from the values before it is right, and says so", () => {
  const follows: Alignment["follows"] = (_row, _column, cell, own) =>
    Number(cell) === Number(own.get("deck") ?? Number.NaN) + 1;
  const found = mark([{ deck: "1" }, { deck: "2" }, { deck: "3" }], [{ deck: "5" }, { deck: "6" }, { deck: "7" }], {
    follows,
    linesGiven: true,
  });
  expect([found.slips, found.noted.map(({ verdict }) => verdict)]).toEqual([1, ["wrong", "follows", "follows"]]);
});

test("another notation of the same value earns, and is told", () => {
  expect(mark([{ deck: "True" }], [{ deck: "true" }])).toMatchObject({ slips: 0, notation: true });
  expect(mark([{ deck: "[1, 2]" }], [{ deck: "1, 2" }])).toMatchObject({ slips: 0, notation: true });
});
