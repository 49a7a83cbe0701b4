import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { floatText } from "./floatText.ts";
import { power } from "./power.ts";

const finite = fc.double({ noNaN: true, noDefaultInfinity: true });

/** The double nearest to a whole number times a power of two, by arithmetic without rounding. */
function nearestTo(top: bigint, bottom: bigint): number {
  // Number() of a whole number rounds to the nearest, a half to the even one; enough digits are kept before the point.
  const shift = BigInt(Math.max(0, bottom.toString(2).length - top.toString(2).length + 120));
  const scaled = ((top << shift) / bottom) | ((top << shift) % bottom === 0n ? 0n : 1n);
  return Number(scaled) / 2 ** Number(shift);
}

describe("a number to a whole power is rounded once", () => {
  test("whole numbers, where all digits are known", () => {
    fc.assert(
      fc.property(fc.integer({ min: -2000, max: 2000 }), fc.integer({ min: 0, max: 80 }), (base, exponent) => {
        expect(power(base, exponent)).toBe(Number(BigInt(base) ** BigInt(exponent)));
      }),
      { numRuns: 500 },
    );
  });

  test("and the other way round, below 1", () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 60 }), fc.integer({ min: 1, max: 60 }), (base, exponent) => {
        expect(power(base, -exponent)).toBe(nearestTo(1n, BigInt(base) ** BigInt(exponent)));
      }),
      { numRuns: 500 },
    );
  });

  test("numbers with decimals: next to what the machine's own power gives, on the side of the sign", () => {
    fc.assert(
      fc.property(
        fc.double({ noNaN: true, min: -1e3, max: 1e3 }),
        fc.integer({ min: -40, max: 40 }),
        (base, exponent) => {
          const [ours, machine] = [power(base, exponent), base ** exponent];
          if (ours === null) throw new Error("not worked out");
          if (!Number.isFinite(machine) || Math.abs(machine) < 1e-290) return;
          expect(Math.abs(ours - machine)).toBeLessThanOrEqual(Math.abs(machine) * 4e-16);
          expect(Math.sign(ours)).toBe(Math.sign(machine));
        },
      ),
    );
  });

  test("doubling is exact, as far as there are numbers", () => {
    for (let exponent = -200; exponent <= 200; exponent++) expect(power(2, exponent)).toBe(2 ** exponent);
    expect(power(1e200, 2)).toBe(Number.POSITIVE_INFINITY);
    expect(power(-1e200, 3)).toBe(Number.NEGATIVE_INFINITY);
    expect(power(1e-200, 2)).toBe(0);
  });

  test.each<[number, number, number | null]>([
    [0, 0, 1],
    [0, -1, Number.POSITIVE_INFINITY],
    [-0, 3, -0],
    [7, 0, 1],
    [9, 0.5, 3],
    [2, 0.3, null],
    [1.5, 1000, null],
    [Number.POSITIVE_INFINITY, -1, 0],
  ])("%d to the power of %d", (base, exponent, result) => {
    expect(power(base, exponent)).toBe(result);
  });
});

describe("numbers with decimals as text", () => {
  test("they read back as themselves, in no more digits than are needed", () => {
    fc.assert(
      fc.property(finite, (value) => {
        const text = floatText(value);
        expect(Number(text)).toBe(value);
        const digits = text.replace(/e.*/, "").replace(/[-.]/g, "").replace(/^0+/, "").replace(/0+$/, "");
        for (let fewer = 1; fewer < Math.min(18, digits.length); fewer++)
          expect(Number(value.toPrecision(fewer)) === value, `${text} in ${fewer} digits`).toBe(false);
      }),
    );
  });

  test("one with 32 bits reads back as the same one, in nine digits at most", () => {
    fc.assert(
      fc.property(fc.float({ noNaN: true, noDefaultInfinity: true }), (value) => {
        const text = floatText(value, true);
        expect(Math.fround(Number(text))).toBe(value);
        expect(text.replace(/e.*/, "").replace(/[-.]/g, "").replace(/^0+/, "").replace(/0+$/, "").length).toBeLessThan(
          10,
        );
      }),
    );
  });

  test("an exponent stands only where the number is large or small", () => {
    fc.assert(
      fc.property(finite, (value) => {
        const size = Math.abs(value);
        expect(/e[+-]\d\d+$/.test(floatText(value))).toBe(value !== 0 && (size >= 1e16 || size < 1e-4));
        if (!floatText(value).includes("e")) expect(floatText(value)).toMatch(/^-?\d+\.\d+$/);
      }),
    );
  });

  test.each<[number, string]>([
    [4, "4.0"],
    [-0, "-0.0"],
    [0.1, "0.1"],
    [123456789012345680, "1.2345678901234568e+17"],
    [9999999999999998, "9999999999999998.0"],
    [1e16, "1e+16"],
    [0.0001, "0.0001"],
    [0.00001, "1e-05"],
    [0.00015, "0.00015"],
    [5e-324, "5e-324"],
    [Number.NEGATIVE_INFINITY, "-inf"],
    [Number.NaN, "nan"],
  ])("%d is written %s", (value, text) => {
    expect(floatText(value)).toBe(text);
  });

  test("a third in 32 bits is no third in 64", () => {
    expect([floatText(Math.fround(1 / 3), true), floatText(Math.fround(1 / 3))]).toEqual([
      ...["0.33333334", "0.3333333432674408"],
    ]);
  });
});
