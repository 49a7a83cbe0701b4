import fc from "fast-check";
import { expect, test } from "vitest";
import { editFamilies } from "../edits/families.ts";
import { shareOf, worthByFamily } from "./shares.ts";

const families = editFamilies.map(({ id }) => id);
const anyEdit = fc.record({
  family: fc.constantFrom(...families),
  odds: fc.double({ min: 0.05, max: 5, noNaN: true }),
});

test("every family has a share, and those that were seldom the fault have one, too", () => {
  for (const id of families) expect(shareOf(id)).toBeGreaterThanOrEqual(1);
  expect(shareOf("comparison")).toBeGreaterThan(shareOf("printing"));
});

test("what is likelier by its odds stays the likelier one of its family, whatever else is proposed", () => {
  fc.assert(
    fc.property(fc.array(anyEdit, { minLength: 2, maxLength: 60 }), (edits) => {
      const worth = worthByFamily(edits);
      for (const [at, one] of edits.entries())
        for (const [place, other] of edits.entries())
          if (one.family === other.family && one.odds > other.odds)
            expect(worth[at]).toBeGreaterThanOrEqual(worth[place] ?? 0);
    }),
  );
});

test("a slip that fits at many places is the less likely at each of them, and all together the likelier", () => {
  const each = (places: number) =>
    worthByFamily(Array.from({ length: places }, () => ({ family: "other-name", odds: 1 })))[0] ?? 0;
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 400 }), fc.integer({ min: 1, max: 400 }), (few, more) => {
      fc.pre(few < more);
      expect(each(more)).toBeLessThan(each(few));
      expect(each(more) * more).toBeGreaterThan(each(few) * few);
    }),
  );
});

test("edits of another family leave the worth of an edit as it is", () => {
  fc.assert(
    fc.property(fc.array(anyEdit, { maxLength: 40 }), (others) => {
      const one = { family: "arithmetic", odds: 0.9 };
      const apart = others.filter(({ family }) => family !== one.family);
      expect(worthByFamily([one, ...apart])[0]).toBe(worthByFamily([one])[0]);
    }),
  );
});
