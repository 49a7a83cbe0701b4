import fc from "fast-check";
import { describe, expect, test } from "vitest";
import {
  type ArrayValue,
  compare,
  copied,
  fitted,
  join,
  kindOf,
  negate,
  type RecordValue,
  Stop,
  textOf,
  typedIn,
  type Value,
  whole,
  worked,
} from "./values.ts";

/** Whole numbers of any size, those where doubles begin to leave some out among them. */
const wholes = fc.oneof(
  fc.bigInt({ min: -20n, max: 20n }),
  fc.bigInt({ min: -(2n ** 54n), max: 2n ** 54n }),
  fc.bigInt({ min: 2n ** 53n - 9n, max: 2n ** 53n + 9n }),
  fc.bigInt({ min: -(2n ** 90n), max: 2n ** 90n }),
);

/** What an operation comes to, or the name of the error by which it stops. */
function outcome(work: () => Value): Value | { stops: string } {
  try {
    return work();
  } catch (problem) {
    if (problem instanceof Stop) return { stops: problem.errorName };
    throw problem;
  }
}
const stopsBy = (errorName: string) => ({ stops: errorName });
const sizeOf = (value: bigint) => (value < 0n ? -value : value);

describe("whole numbers are exact, whatever their size", () => {
  test("sums, differences, products", () => {
    fc.assert(
      fc.property(wholes, wholes, (left, right) => {
        expect(worked("+", whole(left), whole(right))).toBe(whole(left + right));
        expect(worked("-", whole(left), whole(right))).toBe(whole(left - right));
        expect(worked("*", whole(left), whole(right))).toBe(whole(left * right));
        expect(negate(whole(left))).toBe(whole(-left));
      }),
    );
  });

  test("DIV is at or below the quotient, MOD is what is left and has the sign of the right side", () => {
    fc.assert(
      fc.property(wholes, wholes, (left, right) => {
        if (right === 0n) {
          for (const sign of ["div", "mod", "/"])
            expect(outcome(() => worked(sign, whole(left), 0))).toEqual(stopsBy("division by zero"));
          return;
        }
        const [quotient, rest] = [
          BigInt(worked("div", whole(left), whole(right)) as number),
          BigInt(worked("mod", whole(left), whole(right)) as number),
        ];
        expect(quotient * right + rest).toBe(left);
        expect(sizeOf(rest) < sizeOf(right)).toBe(true);
        if (rest !== 0n) expect(rest < 0n).toBe(right < 0n);
      }),
      { numRuns: 400 },
    );
  });

  test("they are in order as they are, and each is in its own form", () => {
    fc.assert(
      fc.property(wholes, wholes, (left, right) => {
        const order = compare("<", whole(left), whole(right));
        expect(Math.sign(order)).toBe(left < right ? -1 : left > right ? 1 : 0);
        expect(worked("=", whole(left), whole(right))).toBe(left === right);
        expect(worked("≤", whole(left), whole(right))).toBe(left <= right);
        expect(worked("≥", whole(left), whole(right))).toBe(left >= right);
        expect(textOf(whole(left))).toBe(String(left));
        expect(typeof whole(left)).toBe(sizeOf(left) < 2n ** 53n ? "number" : "bigint");
      }),
    );
  });

  test("powers, up to what can be written down", () => {
    fc.assert(
      fc.property(fc.bigInt({ min: -40n, max: 40n }), fc.integer({ min: 0, max: 60 }), (base, exponent) => {
        expect(worked("^", whole(base), exponent)).toBe(whole(base ** BigInt(exponent)));
      }),
    );
    expect([1, 0, -1].map((base) => worked("^", base, 1_000_001))).toEqual([1, 0, -1]);
    expect(worked("^", 2, 30_000)).toBe(2n ** 30_000n);
    expect(worked("^", whole(10n ** 400n), 1)).toBe(10n ** 400n);
    expect(outcome(() => worked("^", 10, 20_001))).toEqual(stopsBy("number too large"));
    expect(outcome(() => worked("^", 2, whole(2n ** 70n)))).toEqual(stopsBy("number too large"));
    expect(outcome(() => worked("^", whole(10n ** 400n), 60))).toEqual(stopsBy("number too large"));
    expect(worked("^", 2, -1)).toEqual({ real: 0.5 });
    expect(outcome(() => worked("^", 0, -1))).toEqual(stopsBy("division by zero"));
    expect(outcome(() => worked("^", -8, { real: 0.5 }))).toEqual(stopsBy("no result"));
  });
});

test("`/` gives a number with decimals; one that no machine can hold is said", () => {
  expect(worked("/", 6, 3)).toEqual({ real: 2 });
  expect(textOf(worked("/", 6, 3))).toBe("2.0");
  expect(worked("+", { real: 0.5 }, 1)).toEqual({ real: 1.5 });
  expect(outcome(() => worked("*", { real: 1e300 }, { real: 1e300 }))).toEqual(stopsBy("number too large"));
  expect(outcome(() => worked("div", { real: 4 }, 2))).toEqual(stopsBy("wrong kind"));
});

test("no operation gives minus zero, which would be printed with its sign", () => {
  const results = [worked("*", -3, 0), worked("div", -1, -2), worked("mod", 4, -2), negate(0), worked("-", 0, 0)];
  for (const value of results) expect(Object.is(value, 0), textOf(value)).toBe(true);
});

test.each<[string, Value, Value, RegExp]>([
  ["+", "4", 2, /text of digits: make a number of it with TO_NUMBER/],
  ["+", "Tern", 2, /Texts are joined with &/],
  ["-", "Tern", "K 7", /- needs two numbers, but the text "Tern" is a text/],
  ["<", "4", 4, /cannot be compared with <: one is a text, the other a whole number/],
  ["<", true, false, /cannot be compared with </],
  ["and", true, 1, /AND needs TRUE or FALSE, but here is 1/],
  ["or", "full", true, /OR needs TRUE or FALSE, but here is the text "full"/],
])("%s of %j and %j is said in words", (sign, left, right, says) => {
  expect(() => worked(sign, left, right)).toThrow(says);
});

test("truth: the second side is not looked at where the first decides", () => {
  expect(worked("and", false, "full")).toBe(false);
  expect(worked("or", true, "full")).toBe(true);
  expect([worked("=", true, true), worked("≠", true, false)]).toEqual([true, true]);
});

test("texts go by their signs' numbers, the beginning before the whole", () => {
  const inOrder = ["", "Fare", "Fares", "Tern", "fare", "~", "é", "船", "🚢"];
  for (const [at, one] of inOrder.entries())
    for (const [by, other] of inOrder.entries())
      expect(Math.sign(compare("<", one, other)), `${one} ${other}`).toBe(Math.sign(at - by));
  expect(join("Tern ", { real: 4 })).toBe("Tern 4.0");
});

test.each<[string, Value]>([
  ["7", 7],
  [" +7 ", 7],
  ["-0", 0],
  ["9007199254740993", 9007199254740993n],
  ["4.50", { real: 4.5 }],
  [".5", { real: 0.5 }],
  ["3.", { real: 3 }],
  ["", ""],
  [" Tern ", " Tern "],
  ["1e3", "1e3"],
  ["4,5", "4,5"],
  ["--4", "--4"],
])("%j is typed in", (text, value) => {
  expect(typedIn(text)).toEqual(value);
});

const loads: ArrayValue = { array: [3, undefined, { real: 2.5 }], from: 1, of: "any", id: 4 };
const boat: RecordValue = { record: "Boat", fields: { name: "Tern", loads, late: undefined }, id: 5 };

test("arrays and records are printed with what they hold, and what has no value yet as a question", () => {
  expect(textOf(boat)).toBe("Boat(name: Tern, loads: [3, ?, 2.5], late: ?)");
  expect([boat, loads, true, "x", 1, { real: 1 }].map(kindOf)).toEqual([
    ...["record", "array", "truth value", "text", "whole number", "number"],
  ]);
});

test("a copy shares nothing, and each part of it is another one", () => {
  let id = 100;
  const copy = copied(boat, () => id++) as RecordValue;
  expect(textOf(copy)).toBe(textOf(boat));
  const inner = copy.fields.loads as ArrayValue;
  inner.array[0] = 99;
  expect(textOf(boat)).toContain("[3, ");
  expect(new Set([copy.id, inner.id, boat.id, loads.id]).size).toBe(4);
});

test.each<[Value, string, Value | { stops: string }]>([
  [4, "real", { real: 4 }],
  [{ real: 4 }, "integer", stopsBy("wrong kind")],
  ["K", "character", "K"],
  ["🚢", "character", "🚢"],
  ["K7", "character", stopsBy("wrong kind")],
  [true, "truth", true],
  [1, "truth", stopsBy("wrong kind")],
  ["4", "integer", stopsBy("wrong kind")],
  [loads, "array", loads],
  [boat, "array", stopsBy("wrong kind")],
  [loads, "any", loads],
])("%j for a name that is declared as %s", (value, type, found) => {
  expect(outcome(() => fitted(value, type, "deck"))).toEqual(found);
});
