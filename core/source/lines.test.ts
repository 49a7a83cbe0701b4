import fc from "fast-check";
import { expect, test } from "vitest";
import { columnOf, lineTexts, splitLines } from "./lines.ts";

test("every kind of line end is one line end, and all are kept", () => {
  expect(splitLines("a\r\nb\nc\rd")).toEqual([
    { text: "a", end: "\r\n" },
    { text: "b", end: "\n" },
    { text: "c", end: "\r" },
    { text: "d", end: "" },
  ]);
  expect(lineTexts("")).toEqual([]);
  expect(lineTexts("fare = 6\n")).toEqual(["fare = 6"]);
});

test("lines put together again give the text to the character", () => {
  fc.assert(
    fc.property(fc.string({ unit: fc.constantFrom("a", "\t", " ", "\r", "\n", "é", "🚢") }), (text) => {
      expect(
        splitLines(text)
          .map((line) => line.text + line.end)
          .join(""),
      ).toBe(text);
    }),
  );
});

test("columns count code points, a tab is one", () => {
  expect(columnOf("\tfare", 1)).toBe(2);
  expect(columnOf("🚢fare", 2)).toBe(2);
});
