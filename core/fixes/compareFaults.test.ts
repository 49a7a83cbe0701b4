import { expect, test } from "vitest";
import { compareFaults } from "./compareFaults.ts";
import { findHunks, mapLines } from "./hunks.ts";

const fault = (gate: number | null, message = "", reportedLine: number | null = null) => ({
  gate,
  message,
  reportedLine,
});
const still = [null, 1, 2, 3, 4];

test.each([
  ["gone", fault(2, "NameError: dek", 3), fault(null)],
  ["same error", fault(2, "NameError: dek", 3), fault(2, "NameError: dek", 3)],
  ["same error on another line", fault(2, "NameError: dek", 3), fault(2, "NameError: dek", 4)],
  ["another error", fault(2, "NameError: dek", 3), fault(2, "NameError: lod", 3)],
  ["another error", fault(2, "NameError: dek", 3), fault(3)],
  ["does not start any more", fault(2, "NameError: dek", 3), fault(1, "SyntaxError: expected ':'", 2)],
  ["same error", fault(3), fault(3)],
  ["same error", fault(1, "SyntaxError: invalid syntax", 2), fault(1, "SyntaxError: invalid syntax", 2)],
] as const)("%s", (relation, before, now) => {
  expect(compareFaults(before, now, still)).toBe(relation);
});

test("a line is followed through the change, and a line that was itself changed keeps its place", () => {
  const text = "a\nb\ndek\n";
  const moved = mapLines(text, findHunks(text, "a\nnew\nb\ndek\n"));
  expect(compareFaults(fault(2, "x", 3), fault(2, "x", 4), moved)).toBe("same error");
  const changed = mapLines(text, findHunks(text, "a\nb\ndek + 0\n"));
  expect(compareFaults(fault(2, "x", 3), fault(2, "x", 3), changed)).toBe("same error");
});
