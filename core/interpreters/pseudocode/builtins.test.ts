import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { builtins } from "./builtins.ts";
import { Stop, textOf, type Value, whole } from "./values.ts";

/** What a function gives for these values, as it is printed; the error's name in brackets where it stops. */
function given(name: string, ...values: Value[]): string {
  const builtin = builtins.get(name.toLowerCase());
  if (!builtin) throw new Error(`no function ${name}`);
  try {
    return textOf(builtin.gives(values));
  } catch (problem) {
    if (problem instanceof Stop) return `<${problem.errorName}> ${problem.says}`;
    throw problem;
  }
}

const real = (value: number): Value => ({ real: value });
const loads: Value = { array: [3, 8], from: 0, of: "integer", id: 1 };

test.each<[string, Value[], string]>([
  ["LENGTH", ["Tern"], "4"],
  ["LENGTH", ["船🚢"], "2"],
  ["LENGTH", [loads], "2"],
  ["LEN", [""], "0"],
  ["MID", ["Kittiwake", 1, 3], "Kit"],
  ["SUBSTRING", ["Kittiwake", 9, 1], "e"],
  ["MID", ["Tern", 5, 0], ""],
  ["MID", ["船🚢 7", 2, 1], "🚢"],
  ["LEFT", ["Tern", 0], ""],
  ["LEFT", ["Tern", 4], "Tern"],
  ["RIGHT", ["Tern", 2], "rn"],
  ["RIGHT", ["Tern", 0], ""],
  ["UPPER", ["deck 7é"], "DECK 7É"],
  ["LCASE", ["DECK"], "deck"],
  ["POSITION", ["low tide", "tide"], "5"],
  ["POSITION", ["low tide", "fog"], "0"],
  ["POSITION", ["aab", "ab"], "2"],
  ["INT", [real(-3.7)], "-3"],
  ["FLOOR", [real(-3.7)], "-4"],
  ["CEILING", [real(-3.7)], "-3"],
  ["CEILING", [real(-0.2)], "0"],
  ["INT", [12], "12"],
  ["INT", [real(2 ** 70)], String(2n ** 70n)],
  ["ROUND", [real(2.5)], "2"],
  ["ROUND", [real(3.5)], "4"],
  ["ROUND", [real(-2.5)], "-2"],
  ["ROUND", [real(4.345), 2], "4.34"],
  ["ROUND", [real(0.125), 2], "0.12"],
  ["ROUND", [real(12.75), 0], "13.0"],
  ["ROUND", [1250, -2], "1200.0"],
  ["ROUND", [real(1350.5), -2], "1400.0"],
  ["ROUND", [real(123456789.5), -9], "0.0"],
  ["ROUND", [real(0.1), 400], "0.1"],
  ["ROUND", [7, 1], "7.0"],
  ["ROUND", [real(-0.04), 1], "0.0"],
  ["ROUND", [-50, -2], "0.0"],
  ["ABS", [-4], "4"],
  ["ABS", [real(-4.5)], "4.5"],
  ["ABS", [-(2n ** 60n)], String(2n ** 60n)],
  ["SQRT", [16], "4.0"],
  ["MIN", [4, real(3.5)], "3.5"],
  ["MAX", ["Tern", "tern"], "tern"],
  ["ORD", ["A"], "65"],
  ["CHR", [128674], "🚢"],
  ["TO_TEXT", [real(4)], "4.0"],
  ["STR", [true], "TRUE"],
  ["TO_NUMBER", [" -12 "], "-12"],
  ["VAL", ["4.50"], "4.5"],
  ["TO_NUMBER", [7], "7"],
  ["TO_WHOLE", ["12"], "12"],
])("%s of %o gives %s", (name, values, text) => {
  expect(given(name, ...values)).toBe(text);
});

test.each<[string, Value[], RegExp]>([
  ["MID", ["Tern", 0, 1], /^<position outside> MID asks for 1 characters from position 0, but the text has 4/],
  ["MID", ["Tern", 3, 3], /^<position outside>/],
  ["MID", ["Tern", 2, -1], /^<position outside>/],
  ["LEFT", ["Tern", 5], /^<position outside> LEFT/],
  ["RIGHT", ["Tern", 5], /^<position outside> RIGHT/],
  ["MID", ["Tern", real(1.5), 1], /^<wrong kind> MID needs a whole number, but here is 1\.5/],
  ["LENGTH", [12], /^<wrong kind> LENGTH needs a text, but here is a whole number/],
  ["UPPER", [true], /^<wrong kind> UPPER needs a text, but here is a truth value/],
  ["INT", ["4"], /^<wrong kind> INT needs a number, but here is a text/],
  ["SQRT", [-4], /^<no result> -4 has no square root/],
  ["ORD", ["AB"], /^<wrong kind> ORD needs one character/],
  ["ORD", [""], /^<wrong kind>/],
  ["CHR", [-1], /^<no result> -1 is the number of no character/],
  ["CHR", [0xd800], /^<no result>/],
  ["CHR", [0x110000], /^<no result>/],
  ["TO_NUMBER", ["4 cars"], /^<no number> The text "4 cars" is no number/],
  ["TO_NUMBER", [""], /^<no number>/],
  ["TO_WHOLE", ["4.5"], /^<no number> The text "4\.5" is no whole number/],
  ["MIN", ["4", 4], /^<wrong kind>/],
])("%s of %o stops in words", (name, values, says) => {
  expect(given(name, ...values)).toMatch(says);
});

describe("whatever the values are", () => {
  const texts = fc.string({ unit: "grapheme", maxLength: 12 });

  test("a text is its left and its right part, wherever it is cut", () => {
    fc.assert(
      fc.property(texts, fc.nat(12), (text, cut) => {
        const length = [...text].length;
        const at = Math.min(cut, length);
        expect(given("LEFT", text, at) + given("RIGHT", text, length - at)).toBe(text);
        expect(given("MID", text, at + 1, length - at)).toBe(given("RIGHT", text, length - at));
      }),
    );
  });

  test("a part is found where it stands first, and is there", () => {
    fc.assert(
      fc.property(texts, texts, (text, part) => {
        const at = Number(given("POSITION", text, part));
        const whole = [...text];
        const first = whole.findIndex((_, from) => whole.slice(from).join("").startsWith(part));
        expect(at).toBe(part === "" ? 1 : first + 1);
        if (at > 0) expect(given("MID", text, at, [...part].length)).toBe(part);
      }),
    );
  });

  test("a number that is printed is read again as itself", () => {
    const numbers = fc.oneof(
      fc.bigInt({ min: -(2n ** 80n), max: 2n ** 80n }).map((value): Value => whole(value)),
      fc.double({ noNaN: true, noDefaultInfinity: true, min: -1e15, max: 1e15 }).map(real),
    );
    fc.assert(
      fc.property(numbers, (value) => {
        const printed = given("TO_TEXT", value);
        if (/^-?[\d.]+$/.test(printed)) expect(given("TO_NUMBER", printed)).toBe(printed);
      }),
    );
  });

  test("whole numbers around a number: below, above, towards 0, nearest", () => {
    fc.assert(
      fc.property(fc.double({ noNaN: true, min: -1e9, max: 1e9 }), (value) => {
        const [below, above, cut, nearest] = ["FLOOR", "CEILING", "INT", "ROUND"].map((name) =>
          Number(given(name, real(value))),
        ) as [number, number, number, number];
        expect(below <= value && value < below + 1).toBe(true);
        expect(above >= value && value > above - 1).toBe(true);
        expect(Math.abs(cut)).toBe(Math.floor(Math.abs(value)));
        expect(Math.abs(nearest - value)).toBeLessThanOrEqual(0.5);
        if (Math.abs(nearest - value) === 0.5) expect(nearest % 2 === 0).toBe(true);
      }),
    );
  });

  test("no function does anything but give a value or stop in words", () => {
    const values = fc.oneof<fc.Arbitrary<Value>[]>(
      ...[texts, fc.boolean(), fc.maxSafeInteger(), fc.constant(loads), fc.double().map(real)],
      fc.bigInt().map((value): Value => whole(value)),
    );
    const calls = fc.tuple(fc.constantFrom(...builtins.keys()), fc.array(values, { minLength: 1, maxLength: 3 }));
    fc.assert(
      fc.property(calls, ([name, all]) => {
        const { least = 0, most = 0 } = builtins.get(name) ?? {};
        if (all.length < least) return;
        expect(typeof given(name, ...all.slice(0, most))).toBe("string");
      }),
      { numRuns: 500 },
    );
  });
});
