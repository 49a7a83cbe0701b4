import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { type KeyRow, markTraceTable, type TableToMark, traceMarks, type WrittenRow } from "./traceMarking.ts";

const columns = ["tide", "hour", "output"];
/** The real run: three passes of a loop, of a program that is not there to be gone through. */
const key: KeyRow[] = [
  { line: 1, cells: { tide: "2" } },
  { line: 2, cells: { hour: "0" } },
  { line: 3, cells: { tide: "4" } },
  { line: 4, cells: { output: "4" } },
  { line: 2, cells: { hour: "1" } },
  { line: 3, cells: { tide: "6" } },
  { line: 4, cells: { output: "6" } },
  { line: 2, cells: {} },
];
const none: ReadonlySet<string> = new Set();
const table = (rest: Partial<TableToMark> = {}): TableToMark => ({
  ...{ language: undefined, program: "", key, columns, given: none, linesGiven: false, reading: {} },
  variables: [
    { key: "tide", title: "tide" },
    { key: "hour", title: "hour" },
  ],
  ...{ notationCounts: false, cut: false, prompts: [] },
  ...rest,
});
const mark = (answer: readonly WrittenRow[], rest: Partial<TableToMark> = {}) => markTraceTable(table(rest), answer);
const written = (rows: readonly KeyRow[] = key): WrittenRow[] => rows.map(({ cells }) => ({ cells }));
const row = (cells: Record<string, string>): WrittenRow => ({ cells });

describe("by the key alone", () => {
  test("the real table earns everything, a blank one nothing", () => {
    expect(mark(written())).toMatchObject({ wanted: 7, right: 7, slips: 0, missingRows: [] });
    expect(traceMarks(mark(written()), 6)).toBe(6);
    expect(traceMarks(mark(key.map(() => row({}))), 6)).toBe(0);
    expect(traceMarks(mark([]), 6)).toBe(0);
  });

  test("a value that is repeated although it does not change equals a blank", () => {
    let [tide, hour] = ["", ""];
    const repeated = key.map(({ cells }) => {
      tide = cells.tide ?? tide;
      hour = cells.hour ?? hour;
      return { cells: { ...cells, tide, hour } };
    });
    expect(mark(repeated)).toMatchObject({ right: 7, slips: 0 });
  });

  test("a row left out costs its cells and does not spoil the rows after it; one added costs once", () => {
    expect(mark(written().filter((_, index) => index !== 2))).toMatchObject({ right: 6, slips: 1, missingRows: [2] });
    const added = [...written().slice(0, 3), row({ hour: "9", tide: "99" }), ...written().slice(3)];
    expect(mark(added)).toMatchObject({ right: 6, slips: 1 });
  });

  test("cells that were given earn nothing and cost nothing", () => {
    const given = new Set(["0 tide", "1 hour"]);
    expect(mark(written(), { given })).toMatchObject({ wanted: 5, right: 5 });
    const without = written().map((each, index) => (index < 2 ? row({}) : each));
    expect(mark(without, { given, linesGiven: true })).toMatchObject({ wanted: 5, right: 5, slips: 0 });
  });

  test("wrong values cost only themselves; a value where nothing changes takes one away", () => {
    const with4 = (cells: Record<string, string>) =>
      written().map((each, index) => (index === 3 ? row({ ...each.cells, ...cells }) : each));
    expect(mark(with4({ output: "5" }))).toMatchObject({ right: 6, slips: 1 });
    expect(mark(with4({ tide: "40" }))).toMatchObject({ right: 6, slips: 1 });
    expect(mark(with4({ tide: "-", hour: "?" }))).toMatchObject({ right: 7, slips: 0 });
  });
});

const program = "tide = 2\nfor hour in range(2):\n    tide = tide + 2\n    print(tide)\n";
const followed = { language: findLanguage("python"), program };

describe("gone through with the student's own values", () => {
  const slip = (from: number) =>
    key.map(({ cells }, index) =>
      index < from || cells.hour !== undefined
        ? { cells }
        : row(Object.fromEntries(Object.entries(cells).map(([name, text]) => [name, String(Number(text) + 1)]))),
    );
  test.each([true, false])("a slip costs one cell, lines given: %s", (linesGiven) => {
    expect(mark(slip(2), { ...followed, linesGiven })).toMatchObject({ wanted: 7, right: 6, slips: 1 });
    expect(mark(slip(2), { ...followed, linesGiven }).rows[3]?.cells).toEqual({ output: "follows" });
    expect(mark(slip(2), { linesGiven }).slips).toBe(4);
  });

  test("what the program gives where it goes another way is right there, and the way is one slip", () => {
    const longer = [...written().slice(0, -1), row({ hour: "2" }), row({ tide: "8" }), row({ output: "8" })];
    expect(mark(longer, followed)).toMatchObject({ wanted: 7, right: 6, slips: 1 });
    expect(mark(written().slice(0, 4), followed)).toMatchObject({ wanted: 7, right: 6, slips: 1 });
  });

  test("a cell too many costs beside one that is printed on the sheet, too", () => {
    const given = new Set(["0 tide"]);
    const answer = written().map((each, at) => (at === 0 ? row({ hour: "9" }) : each));
    for (const linesGiven of [true, false])
      expect(mark(answer, { ...followed, given, linesGiven })).toMatchObject({ wanted: 6, slips: 1 });
  });

  test("an empty table is no way to go", () => {
    expect(mark([row({ tide: "2" })], followed).right).toBeLessThanOrEqual(2);
    expect(mark([], followed).right).toBe(0);
  });
});

const cells = fc.dictionary(fc.constantFrom(...columns), fc.constantFrom("1", "2", "3", "4", "6", "-"), { maxKeys: 3 });
const tables = fc.array(cells.map(row), { maxLength: 9 });

test("whatever is written, marks are within the task's, each row has its verdicts, and rows keep their order", () => {
  fc.assert(
    fc.property(tables, fc.boolean(), fc.boolean(), (answer, linesGiven, isFollowed) => {
      const marking = mark(answer, { linesGiven, ...(isFollowed ? followed : {}) });
      expect(marking.right).toBeLessThanOrEqual(marking.wanted);
      const marks = traceMarks(marking, 5);
      expect(marks >= 0 && marks <= 5 && Number.isInteger(marks * 2)).toBe(true);
      expect(marking.rows).toHaveLength(answer.length);
      const pairs = marking.rows.map((each) => each.key).filter((each) => each !== null);
      if (!isFollowed) expect(pairs).toEqual([...pairs].sort((one, other) => one - other));
    }),
  );
});

test("a table of hardly anything but slips keeps the one cell that is right by the key", () => {
  const rows = [row({ tide: "2" }), row({ output: "1", tide: "3" }), row({}), row({}), row({ hour: "1", tide: "3" })];
  expect(mark(rows, { linesGiven: true }).right).toBe(1);
  expect(mark(rows, { ...followed, linesGiven: true }).right).toBe(1);
});

test("whatever was written, going through with the own values never earns less than the key alone", () => {
  fc.assert(
    fc.property(tables, fc.boolean(), (answer, linesGiven) => {
      const alone = mark(answer, { linesGiven });
      expect(mark(answer, { ...followed, linesGiven }).right).toBeGreaterThanOrEqual(
        alone.right - (linesGiven ? 0 : 1),
      );
    }),
  );
});
