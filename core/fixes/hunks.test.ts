import fc from "fast-check";
import { expect, test } from "vitest";
import { applyHunks, carryBack, findHunks, mapLines } from "./hunks.ts";

const before = "a = 1\nb = 2\nc = 3\nd = 4\n";

test("only the changed lines are kept", () => {
  expect(findHunks(before, "a = 1\nb = 20\nc = 3\nd = 4\n")).toEqual([
    { start: 2, before: ["b = 2\n"], after: ["b = 20\n"] },
  ]);
  expect(findHunks(before, "a = 1\nb = 2\nx = 9\nc = 3\nd = 4\n")).toEqual([
    { start: 3, before: [], after: ["x = 9\n"] },
  ]);
  expect(findHunks(before, before)).toEqual([]);
});

test("a change of a line's end or of blanks at its end is a change", () => {
  expect(findHunks("a\n", "a\r\n")).toHaveLength(1);
  expect(findHunks("a\n", "a \n")).toHaveLength(1);
});

test("applying the changes gives the other text, whatever they are", () => {
  const lines = fc
    .array(fc.constantFrom("a\n", "b\n", "c\r\n", "\n", "  d\n"), { maxLength: 12 })
    .map((parts) => parts.join(""));
  fc.assert(
    fc.property(lines, lines, (one, other) => {
      expect(applyHunks(one, findHunks(one, other))).toBe(other);
    }),
  );
});

test("of long texts that have nothing in common all between their common beginning and end is one place", () => {
  const lines = (word: string) => Array.from({ length: 3000 }, (_, at) => `${word} ${at}\n`);
  const [before, after] = ["load", "tide"].map((word) => ["begin\n", ...lines(word), "end\n"].join(""));
  const hunks = findHunks(before ?? "", after ?? "");
  expect(hunks).toEqual([{ start: 2, before: lines("load"), after: lines("tide") }]);
  expect(applyHunks(before ?? "", hunks)).toBe(after);
  // One change in a text of that length is one line still.
  const changed = (before ?? "").replace("load 1500\n", "load 9\n");
  expect(findHunks(before ?? "", changed)).toEqual([{ start: 1502, before: ["load 1500\n"], after: ["load 9\n"] }]);
});

test("lines are followed through a change", () => {
  expect(mapLines(before, findHunks(before, "a = 1\nx\ny\nc = 3\nd = 4\nz\n"))).toEqual([null, 1, null, 4, 5]);
});

test("lines that are the same stay the same when they are followed", () => {
  const lines = fc
    .uniqueArray(fc.integer({ min: 0, max: 20 }), { maxLength: 10 })
    .map((numbers) => numbers.map((number) => `l${number}\n`));
  fc.assert(
    fc.property(lines, lines, (one, other) => {
      const map = mapLines(one.join(""), findHunks(one.join(""), other.join("")));
      one.forEach((line, index) => {
        const to = map[index + 1];
        if (to) expect(other[to - 1]).toBe(line);
      });
    }),
  );
});

test("the change of a later layer is carried back to the first version, or said to be tied to an earlier one", () => {
  const second = "a = 1\nnew\nb = 2\nc = 3\nd = 4\n";
  const mapping = mapLines(before, findHunks(before, second));
  const later = findHunks(second, "a = 1\nnew\nb = 2\nc = 33\nd = 4\n");
  expect(carryBack(later, mapping)).toEqual({
    free: [{ start: 3, before: ["c = 3\n"], after: ["c = 33\n"] }],
    tied: [],
  });
  const onNew = findHunks(second, "a = 1\nnewer\nb = 2\nc = 3\nd = 4\n");
  expect(carryBack(onNew, mapping).tied).toHaveLength(1);
});

test("a change made for other lines is refused", () => {
  expect(() => applyHunks(before, [{ start: 2, before: ["z\n"], after: [] }])).toThrow("not those");
});
