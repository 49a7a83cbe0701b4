import fc from "fast-check";
import { expect, test } from "vitest";
import {
  commonType,
  converted,
  type NumberTypes,
  numbers,
  quoted,
  readLetter,
  readWhole,
  signed,
  unescaped,
} from "./fixedWidth.ts";
import { type Known, truth } from "./known.ts";

/** Java's widths, which JavaScript's typed arrays have as well. */
const types: NumberTypes = {
  whole: new Map([
    ["byte", { bits: 8, signed: true }],
    ["short", { bits: 16, signed: true }],
    ["int", { bits: 32, signed: true }],
    ["long", { bits: 64, signed: true }],
  ]),
  real: new Map([
    ["float", 32],
    ["double", 64],
  ]),
  ...{ promoted: "int", byZero: "/ by zero", shiftsMasked: true },
  common: (one, other) => (one === "long" || other === "long" ? "long" : "int"),
};
const say = (holds: boolean): Known => truth(holds, "boolean");
const of = (value: bigint | number, type: string) => ({ value, type });
const worked = (sign: string, left: bigint | number, right: bigint | number, type = "int", other = type) => {
  const result = numbers(types, sign, of(left, type), of(right, other), say);
  return result?.kind === "unknown" ? result.why : result && "value" in result ? result.value : null;
};
const int = () => fc.integer({ min: -(2 ** 31), max: 2 ** 31 - 1 });
const long = () => fc.bigInt({ min: -(2n ** 63n), max: 2n ** 63n - 1n });

test("whole numbers of 32 bits come to what the machine's own come to", () => {
  const signs: Record<string, (one: number, other: number) => number> = {
    "+": (one, other) => (one + other) | 0,
    "-": (one, other) => (one - other) | 0,
    "*": Math.imul,
    "/": (one, other) => (one / other) | 0,
    "%": (one, other) => (one % other) | 0,
    "&": (one, other) => one & other,
    "|": (one, other) => one | other,
    "^": (one, other) => one ^ other,
    "<<": (one, other) => one << other,
    ">>": (one, other) => one >> other,
    ">>>": (one, other) => (one >>> other) | 0,
  };
  fc.assert(
    fc.property(fc.constantFrom(...Object.keys(signs)), int(), int(), (sign, one, other) => {
      fc.pre(other !== 0 || !/[/%]/.test(sign));
      expect(worked(sign, BigInt(one), BigInt(other)), `${one} ${sign} ${other}`).toBe(
        BigInt(signs[sign]?.(one, other) ?? 0),
      );
    }),
  );
});

test("64 bits wrap around as well, and a narrower number becomes as wide as the other", () => {
  fc.assert(
    fc.property(long(), long(), (one, other) => {
      expect(worked("+", one, other, "long")).toBe(BigInt.asIntN(64, one + other));
      expect(worked("*", one, other, "long")).toBe(BigInt.asIntN(64, one * other));
      expect(worked("-", BigInt.asIntN(32, one), other, "int", "long")).toBe(
        BigInt.asIntN(64, BigInt.asIntN(32, one) - other),
      );
    }),
  );
  expect([commonType(types, "byte", "short"), commonType(types, "int", "long")]).toEqual(["int", "long"]);
  expect([commonType(types, "long", "float"), commonType(types, "float", "double")]).toEqual(["float", "double"]);
});

test("what is narrower is cut to its width; a decimal loses what stands behind the point", () => {
  fc.assert(
    fc.property(int(), (value) => {
      expect(converted(types, BigInt(value), "byte")).toMatchObject({ value: BigInt(new Int8Array([value])[0] ?? 0) });
      expect(converted(types, BigInt(value), "short")).toMatchObject({
        value: BigInt(new Int16Array([value])[0] ?? 0),
      });
      expect(converted(types, value + 0.75, "long")).toMatchObject({ value: BigInt(Math.trunc(value + 0.75)) });
    }),
  );
  expect(converted(types, 0.1, "float")).toMatchObject({ value: Math.fround(0.1) });
  expect(converted(types, Number.NaN, "int").kind).toBe("unknown");
  expect(converted(types, 4n, "Ferry").kind).toBe("unknown");
});

test("a division by zero stops a whole number and no decimal one; comparisons are of the wider of two", () => {
  expect(worked("/", 7n, 0n)).toBe("/ by zero");
  expect(worked("%", 7n, 0n)).toBe("/ by zero");
  expect(worked("/", 7, 0, "double")).toBe(Number.POSITIVE_INFINITY);
  fc.assert(
    fc.property(int(), fc.double({ noNaN: true }), (one, other) => {
      expect(worked("<", BigInt(one), other, "int", "double")).toBe(one < other);
      expect(worked(">=", BigInt(one), other, "int", "double")).toBe(one >= other);
    }),
  );
  expect(worked("**", 2n, 3n)).toBe(null);
});

test("where a shift by more than the width has no meaning nothing is said of it", () => {
  const c = { ...types, shiftsMasked: false };
  expect(numbers(c, "<<", of(1n, "int"), of(32n, "int"), say)?.kind).toBe("unknown");
  expect(numbers(c, "<<", of(1n, "int"), of(31n, "int"), say)).toMatchObject({ value: -(2n ** 31n) });
});

test("signs before a number: the least one has no opposite, and a letter of the bits has", () => {
  expect(signed(types, "-", of(-(2n ** 31n), "int"))).toMatchObject({ value: -(2n ** 31n) });
  expect(signed(types, "-", of(-128n, "byte"))).toMatchObject({ value: 128n, type: "int" });
  expect(signed(types, "~", of(0n, "int"))).toMatchObject({ value: -1n });
  expect(signed(types, "~", of(1.5, "double"))).toBe(null);
});

test("a text between quotes reads as it was written, whatever stands in it", () => {
  fc.assert(
    fc.property(fc.string({ unit: fc.constantFrom("a", "é", "\n", "\t", "\\", '"', "'", "\0", "\r", " ") }), (text) => {
      expect(unescaped(quoted(text, '"').slice(1, -1))).toBe(text);
    }),
  );
  expect(unescaped("\\u0041")).toBe(null);
  expect(readLetter("'\\n'", "char")).toMatchObject({ value: 10 });
  expect(readLetter("'ab'", "char").kind).toBe("unknown");
});

test("whole numbers as they are written, with other bases and lines between digits", () => {
  const read = ["12", "1_000", "0x1F", "0b101", "017", "12L", "1.5", ""].map((text) => readWhole(text, true));
  expect(read).toEqual([12n, 1000n, 31n, 5n, 15n, null, null, null]);
  expect(readWhole("017", false)).toBe(17n);
});
