import fc from "fast-check";
import { expect, test } from "vitest";
import { atomsOf } from "./atoms.ts";
import { applyHunks, findHunks } from "./hunks.ts";

test("a line that became another is told from one that was put in beside it", () => {
  const [hunk] = findHunks("low = 1\nhigh = low\n", "low = 2\n# tides\nhigh = low + 1\n");
  expect(hunk && atomsOf(hunk)).toEqual([
    { start: 1, before: ["low = 1\n"], after: ["low = 2\n"] },
    { start: 2, before: [], after: ["# tides\n"] },
    { start: 2, before: ["high = low\n"], after: ["high = low + 1\n"] },
  ]);
});

test("all atoms together do what the hunks do, whatever they are", () => {
  const lines = fc
    .array(fc.constantFrom("deck = 1\n", "deck = 2\n", "load(deck)\n", "\n", "  load(4)\n", "car\n"), { maxLength: 10 })
    .map((parts) => parts.join(""));
  fc.assert(
    fc.property(lines, lines, (one, other) => {
      expect(applyHunks(one, findHunks(one, other).flatMap(atomsOf))).toBe(other);
    }),
  );
});
