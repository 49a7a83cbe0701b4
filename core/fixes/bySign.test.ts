import fc from "fast-check";
import { describe, expect, test } from "vitest";
import type { Edit } from "../edits/edit.ts";
import type { Seen } from "../leads/signs.ts";
import { fitOf } from "./bySign.ts";

/** A wrong result of one line with these numbers. */
const wrong = (got: number, wanted: number): Seen => ({
  ...{ actual: `Cars: ${got}`, intended: `Cars: ${wanted}`, got, wanted },
  ...{ typed: [], lines: [`Cars: ${got}`], at: 0 },
});
const edit = (family: string, before: string, after: string): Edit => ({
  ...{ family, from: 0, to: before.length, text: after, parameters: { before, after }, odds: 1 },
});
/** Lines that came out, of which the first was meant to be another one. */
const printed = (lines: readonly string[], intended: string): Seen => ({
  ...{ actual: lines[0] ?? "", intended, got: Number.NaN, wanted: Number.NaN, typed: [], lines, at: 0 },
});

describe("a change of a number", () => {
  test("fits best where it is as large as what the result lacks, whatever the numbers are", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -500, max: 500 }),
        fc.integer({ min: -50, max: 50 }).filter((lacks) => lacks !== 0),
        fc.integer({ min: 0, max: 90 }),
        (got, lacks, before) => {
          const meant = edit("constant", String(before), String(before + lacks));
          const other = edit("constant", String(before), String(before - lacks));
          const seen = wrong(got, got + lacks);
          expect(fitOf(seen, meant)).toBeGreaterThan(1);
          expect(fitOf(seen, other)).toBeLessThanOrEqual(fitOf(seen, meant));
        },
      ),
    );
  });

  test("fits where it makes the result as many times larger as it should be", () => {
    expect(fitOf(wrong(30, 300), edit("constant", "5", "50"))).toBeGreaterThan(1);
    expect(fitOf(wrong(30, 300), edit("constant", "5", "20"))).toBe(1);
  });
});

test("a factor that the result lacks speaks for what puts it in", () => {
  const hours = { ...edit("factor-left-out", "", ""), text: " * 60" };
  expect(fitOf(wrong(2, 120), hours)).toBeGreaterThan(1);
  expect(fitOf(wrong(2, 26), hours)).toBe(1);
});

test("a result with the other sign speaks for a difference whose sides are turned", () => {
  expect(fitOf(wrong(-35, 35), edit("swapped", "", ""))).toBeGreaterThan(1);
  expect(fitOf(wrong(-35, 85), edit("swapped", "", ""))).toBe(1);
});

test("one too few speaks a little for a limit that moves by one, and not for another name", () => {
  expect(fitOf(wrong(7, 8), edit("comparison", "<", "<="))).toBeGreaterThan(1);
  expect(fitOf(wrong(7, 8), edit("other-name", "cars", "vans"))).toBe(1);
});

test("the same lines or words in another order speak for what turns an order round", () => {
  const turned = edit("sort-order", "", "reverse=True");
  expect(fitOf(printed(["Auk", "Skua", "Tern"], "Tern"), turned)).toBeGreaterThan(1);
  expect(fitOf(printed(["3 5 8"], "8 5 3"), turned)).toBeGreaterThan(1);
  expect(fitOf(printed(["Auk", "Skua"], "Rail"), turned)).toBe(1);
  expect(fitOf(printed(["Auk", "Skua"], ""), turned)).toBe(1);
});

test("nothing that a program prints makes an edit less likely, or likely beyond bounds", () => {
  const number = fc.oneof(fc.double({ noNaN: true }), fc.constant(Number.NaN), fc.integer());
  const text = fc.oneof(fc.string({ maxLength: 8 }), fc.integer().map(String));
  fc.assert(
    fc.property(
      ...([number, number, text, text, fc.array(text, { maxLength: 5 }), fc.nat(4)] as const),
      (got, wanted, before, after, lines, at) => {
        const seen: Seen = { actual: before, intended: after, got, wanted, typed: lines, lines, at };
        for (const family of ["constant", "swapped", "sort-order", "comparison", "other-name"]) {
          const fit = fitOf(seen, edit(family, before, after));
          expect(fit).toBeGreaterThanOrEqual(1);
          expect(fit).toBeLessThanOrEqual(3);
        }
      },
    ),
  );
});

test("values that stand on one line in another order speak for two that changed places", () => {
  const swapped = edit("swapped", "first, berth", "berth, first");
  const turned = printed(["Tern enters at 2, berth 1"], "Tern enters at 1, berth 2");
  expect(fitOf(turned, swapped)).toBeGreaterThan(2);
  expect(fitOf(turned, edit("other-name", "first", "berth"))).toBe(1);
  expect(fitOf(printed(["Tern enters at 2, berth 1"], "Tern enters at 2, berth 3"), swapped)).toBe(1);
});
