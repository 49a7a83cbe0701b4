import fc from "fast-check";
import { expect, test } from "vitest";
import { holdsTextOfDigits, isNothing, normalValue, otherNotation, sameValue } from "./cellValues.ts";

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
  ["-0", "0", true],
  ["1e3", "1000", true],
  ["1e21", "1000000000000000000000", true],
  ["2432902008176640000", "2432902008176640001", false],
  ["[9007199254740993]", "[9007199254740992]", false],
  ["9007199254740993.0", "+9007199254740993", true],
  ["1e400", "1e401", true],
])("%s and %s say the same: %s", (one, other, same) => {
  expect(sameValue(one, other)).toBe(same);
});

test("any number written in another way is the same value", () => {
  fc.assert(fc.property(fc.integer(), (number) => sameValue(String(number), `${number}.0`)));
});

test("the form of a value is its own form", () => {
  fc.assert(
    fc.property(fc.string(), (text) => {
      const once = normalValue(normalValue(text));
      expect(normalValue(once)).toBe(once);
    }),
  );
});

type Held = bigint | number | string | boolean | Held[];
type Notation = { quote: string; gap: string; truth: (holds: boolean) => string; decimals: string; last: string };

const words = fc.constantFrom("Tern", "Gannet", "K 7", "low tide", "Fähre", "a");
const leaf = fc.oneof<fc.Arbitrary<Held>[]>(
  ...[fc.bigInt({ min: -(2n ** 70n), max: 2n ** 70n }), fc.integer({ min: -99, max: 99 }).map((tenths) => tenths / 8)],
  ...[words, fc.boolean()],
);
const held: fc.Arbitrary<Held> = fc.oneof(
  leaf,
  fc.array(leaf, { minLength: 1, maxLength: 4 }),
  fc.array(fc.array(leaf, { minLength: 1, maxLength: 3 }), { minLength: 1, maxLength: 3 }),
);
const notation: fc.Arbitrary<Notation> = fc.record({
  quote: fc.constantFrom('"', "'", ""),
  gap: fc.constantFrom("", " ", "  "),
  truth: fc.constantFrom<Notation["truth"]>(
    (holds) => (holds ? "True" : "False"),
    (holds) => String(holds),
    (holds) => (holds ? "TRUE" : "FALSE"),
  ),
  decimals: fc.constantFrom("", ".0", ".00"),
  last: fc.constantFrom("", ","),
});

/** A value as somebody may write it. */
function written(value: Held, how: Notation): string {
  if (Array.isArray(value)) {
    const inner = value.map((each) => written(each, how)).join(`,${how.gap}`);
    return `[${how.gap}${inner}${how.last}${how.gap}]`;
  }
  if (typeof value === "string") return `${how.quote}${value}${how.quote}`;
  if (typeof value === "boolean") return how.truth(value);
  return typeof value === "bigint" || Number.isInteger(value) ? `${value}${how.decimals}` : String(value);
}

/** Another value that differs in one place. */
function changed(value: Held, at: number): Held {
  if (!Array.isArray(value)) {
    if (typeof value === "bigint") return value + 1n;
    if (typeof value === "number") return value + 0.125;
    return typeof value === "boolean" ? !value : `${value}s`;
  }
  const place = at % value.length;
  return value.map((each, index) => (index === place ? changed(each, Math.floor(at / value.length)) : each));
}

test("a value is itself in every notation, and another one in none", () => {
  fc.assert(
    fc.property(held, notation, notation, fc.nat(99), (value, one, other, at) => {
      expect(sameValue(written(value, one), written(value, other))).toBe(true);
      expect(sameValue(written(value, one), written(changed(value, at), other))).toBe(false);
    }),
    { numRuns: 500 },
  );
});

test("a list with one more or one fewer element, or in another order, is another one", () => {
  const numbers = fc.uniqueArray(fc.integer(), { minLength: 2, maxLength: 6 });
  fc.assert(
    fc.property(numbers, notation, (list, how) => {
      const text = written(list, how);
      expect(sameValue(text, written(list.slice(1), how))).toBe(false);
      expect(sameValue(text, written([...list, 7], how))).toBe(false);
      expect(sameValue(text, written([...list.slice(1), list[0] ?? 0], how))).toBe(false);
      // Its brackets may be left out or be of another kind.
      expect(sameValue(list.join(", "), text)).toBe(true);
      expect(sameValue(`(${list.join(",")})`, text)).toBe(true);
    }),
  );
});

test("where quotes count, a text of digits is no number; elsewhere it is", () => {
  fc.assert(
    fc.property(fc.integer({ min: -999, max: 999 }), (number) => {
      expect(sameValue(`"${number}"`, String(number))).toBe(true);
      expect(sameValue(`"${number}"`, String(number), { quotesCount: true })).toBe(false);
      expect(sameValue(`'${number}'`, `"${number}"`, { quotesCount: true })).toBe(true);
      expect(holdsTextOfDigits([`"${number}"`])).toBe(true);
      expect(holdsTextOfDigits([String(number), '"Tern"'])).toBe(false);
    }),
  );
});

test.each(["", " ", "-", "—", "___", "?", "??", "/", "...", "…"])("%j holds nothing", (text) => {
  expect(isNothing(text)).toBe(true);
});

test.each(["0", "-1", "[]", '""', "none", "a", "-."])("%j holds something", (text) => {
  expect(isNothing(text)).toBe(false);
});

test.each([
  ["true", "True", true],
  ["True", "True", false],
  ["1, 2", "[1, 2]", true],
  ["(1, 2)", "[1, 2]", true],
  ["[1,2]", "[1, 2]", false],
  ["5", "5.0", false],
])("%s for %s is in another notation: %s", (own, key, other) => {
  expect(otherNotation(own, key)).toBe(other);
});
