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
