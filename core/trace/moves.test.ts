import { expect, test } from "vitest";
import * as moves from "./moves.ts";
import type { TableRow } from "./table.ts";

/** Rows by line, depth and what else is said of them. */
const given: ReadonlyArray<Partial<TableRow> & { line: number; depth: number }> = [
  { line: 8, depth: 0, cells: { load: "0" } },
  { line: 9, depth: 0, pass: "1" },
  { line: 1, depth: 1 },
  { line: 2, depth: 1, cells: { "fare.age": "4" } },
  { line: 1, depth: 2 },
  { line: 2, depth: 2, cells: { "fare.age": "5" } },
  { line: 3, depth: 1, output: "12\n" },
  { line: 9, depth: 0, cells: { load: "7" }, pass: "2", output: "15\n" },
  { line: 10, depth: 0, raised: "IndexError: list index out of range" },
];
const rows: moves.Rows = given.map((row, step) => ({ step, file: 0, cells: {}, output: "", ...row }));

test("into a call, over it, out of it", () => {
  expect(moves.into(rows, 1)).toBe(2);
  expect(moves.into(rows, 0)).toBe(null);
  expect(moves.into(rows, 8)).toBe(null);
  expect(moves.over(rows, 1)).toBe(7);
  expect(moves.over(rows, 3)).toBe(6);
  expect(moves.over(rows, 0)).toBe(1);
  expect(moves.over(rows, 8)).toBe(9);
  expect(moves.over(rows, 9)).toBe(null);
  expect(moves.out(rows, 4)).toBe(6);
  expect(moves.out(rows, 3)).toBe(7);
  expect(moves.out(rows, 1)).toBe(null);
});

test("to the next row that shows a text, from the first one on where none comes after", () => {
  expect(moves.toText(rows, 0, "15")).toBe(8);
  expect(moves.toText(rows, 0, " INDEXERROR ")).toBe(9);
  expect(moves.toText(rows, 3, "4")).toBe(4);
  expect(moves.toText(rows, 4, "12")).toBe(7);
  expect(moves.toText(rows, 0, "gannet")).toBe(null);
  expect(moves.toText(rows, 0, "  ")).toBe(null);
});

test("to a breakpoint, to a pass, to where it was stopped", () => {
  expect(moves.toBreakpoint(rows, 0, new Set([2]))).toBe(3);
  expect(moves.toBreakpoint(rows, 3, new Set([2]))).toBe(5);
  expect(moves.toBreakpoint(rows, 5, new Set([2]))).toBe(9);
  // With a condition it counts only where that holds.
  expect(moves.toBreakpoint(rows, 0, new Set([2]), new Map([[2, new Set([5])]]))).toBe(5);
  expect(moves.toBreakpoint(rows, 0, new Set([2, 9]), new Map([[2, new Set<number>()]]))).toBe(1);
  expect(moves.toPass(rows, "2")).toBe(7);
  expect(moves.toPass(rows, "14")).toBe(null);
  expect(moves.toCrash(rows)).toBe(8);
  expect(moves.toCrash(rows.slice(0, 8))).toBe(null);
});

test("the first wrong output is where the first character differs, the end where something is missing", () => {
  expect(moves.toFirstWrong(rows, "12\n15\n")).toBe(null);
  expect(moves.toFirstWrong(rows, "12\n15")).toBe(null);
  expect(moves.toFirstWrong(rows, "13\n15\n")).toBe(6);
  expect(moves.toFirstWrong(rows, "12\n16\n")).toBe(7);
  expect(moves.toFirstWrong(rows, "12\n15\n18\n")).toBe(9);
});

test("values are those that stand when so many rows have run, the newest first", () => {
  expect(moves.valuesAt(rows, 6)).toEqual([
    { key: "fare.age", text: "5", at: 5 },
    { key: "load", text: "0", at: 0 },
  ]);
  expect(moves.valuesAt(rows, 8)[0]).toEqual({ key: "load", text: "7", at: 7 });
  expect(moves.valuesAt(rows, 0)).toEqual([]);
});
