import fc from "fast-check";
import { expect, test } from "vitest";
import { normalValue, sameValue } from "./cellValues.ts";

test.each([
  ["5", "5.0", true],
  ["05", "5", true],
  ["-3", " -3 ", true],
  ["'Tern'", "Tern", true],
  ['"Tern"', "'Tern'", true],
  ["Tern", "tern", false],
  ["[1, 2]", "[1,2]", true],
  ["[1, 2.0]", "[ 1 , 2 ]", true],
  ["['Tern', 'Gannet']", '["Tern","Gannet"]', true],
  ["[1, 2]", "[2, 1]", false],
  ["{'a': 1}", "{a:1}", true],
  ["True", "False", false],
  ["", " ", true],
  ["0", "", false],
])("%s and %s say the same: %s", (one, other, same) => {
  expect(sameValue(one, other)).toBe(same);
});

test("any number written in another way is the same value", () => {
  fc.assert(fc.property(fc.integer(), (number) => sameValue(String(number), `${number}.0`)));
});

test("the form of a value is its own form", () => {
  fc.assert(
    fc.property(fc.string(), (text) => normalValue(normalValue(text)) === normalValue(normalValue(normalValue(text)))),
  );
});
