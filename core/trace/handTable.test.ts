import fc from "fast-check";
import { expect, test } from "vitest";
import { readHandTable } from "./handTable.ts";

test("a table as a person writes it, with semicolons, strokes or tabs", () => {
  const table = {
    columns: ["boats", "trips"],
    rows: [
      { line: 1, cells: { boats: "3" }, output: "" },
      { line: 3, cells: { trips: "1" }, output: "Trip 1" },
    ],
  };
  const written = "line; boats; trips; output\n1; 3\n\n3; ; 1; Trip 1\n";
  for (const text of [written, written.replaceAll(";", "\t"), written.replace(/^(.+)$/gm, "|$1|").replaceAll(";", "|")])
    expect(readHandTable(text)).toEqual({ ok: true, table });
});

test.each([
  ["", "empty"],
  ["boats; trips\n1; 2", "called “line”"],
  ["line; output\n1; x", "no column for a variable"],
  ["line; a; A\n1; 2; 3", "same name"],
  ["line; a; \n1; 2", "no name"],
  ["line; a\nx; 2", "Row 1 does not begin"],
  ["line; a\n1; 2; 3", "more cells"],
])("what cannot be read is told with its row: %j", (text, words) => {
  expect(readHandTable(text)).toMatchObject({ ok: false, message: expect.stringContaining(words) });
});

test("whatever is written, it is read or refused, and rows name lines from 1", () => {
  fc.assert(
    fc.property(fc.string(), (text) => {
      const read = readHandTable(`line; a; b\n${text}`);
      if (read.ok) expect(read.table.rows.every((row) => row.line >= 1)).toBe(true);
      else expect(read.message.length).toBeGreaterThan(0);
    }),
  );
});
