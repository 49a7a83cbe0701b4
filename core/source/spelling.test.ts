import fc from "fast-check";
import { expect, test } from "vitest";
import { areSimilar, distance } from "./spelling.ts";

test.each([
  ["lory", "lorry", true],
  ["Deck", "deck", true],
  ["lenght", "length", true],
  ["tide", "side", true],
  ["fare", "berth", false],
  ["a", "b", false],
])("%s and %s look alike: %s", (one, other, alike) => {
  expect(areSimilar(one, other)).toBe(alike);
});

test.each([
  ["total", "total", 0],
  ["totl", "total", 1],
  ["toatl", "total", 1],
  ["tot", "total", 2],
  ["gull", "razorbill", 3],
])("%s is %s after so many changes: %i", (one, other, changes) => {
  expect(distance(one, other)).toBe(changes);
});

test("a distance is the same both ways, and one letter taken out is one change", () => {
  const word = fc.stringMatching(/^[a-z]{1,12}$/);
  fc.assert(
    fc.property(word, word, fc.nat(), (one, other, at) => {
      expect(distance(one, other)).toBe(distance(other, one));
      const place = at % one.length;
      expect(distance(one, one.slice(0, place) + one.slice(place + 1))).toBe(1);
    }),
  );
});

/** The same by trying every way from the front: a letter left out, put in, changed, or changing places with the next. */
function slowly(one: string, other: string, left = 3): number {
  if (left === 0 || (one === "" && other === "")) return 0;
  if (one === "" || other === "") return Math.min(left, Math.max(one.length, other.length));
  if (one[0] === other[0]) return slowly(one.slice(1), other.slice(1), left);
  const swapped = one.length > 1 && one[0] === other[1] && one[1] === other[0];
  return (
    1 +
    Math.min(
      slowly(one.slice(1), other, left - 1),
      slowly(one, other.slice(1), left - 1),
      slowly(one.slice(1), other.slice(1), left - 1),
      swapped ? slowly(one.slice(2), other.slice(2), left - 1) : left - 1,
    )
  );
}

test("words are as far from each other as the fewest changes between them, and three at most", () => {
  const words = fc.stringMatching(/^[abT]{0,7}$/);
  fc.assert(
    fc.property(words, words, (one, other) => {
      expect(distance(one, other)).toBe(slowly(one, other));
    }),
    { numRuns: 1_000 },
  );
});
