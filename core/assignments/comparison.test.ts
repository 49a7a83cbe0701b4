import fc from "fast-check";
import { expect, test } from "vitest";
import {
  type Comparison,
  comparisonSchema,
  comparisonWords,
  mergeComparison,
  ownRules,
  sameLine,
} from "./comparison.ts";

test("a check's own rules stand before those of its assignment; a rule that it does not name is the assignment's", () => {
  const assignment: Comparison = { prompts: "ignored", numbers: 0.01 };
  expect(mergeComparison(assignment, { numbers: null })).toEqual({ prompts: "ignored", numbers: null });
  expect(mergeComparison(assignment, { prompts: "compared", letterCase: "ignored" })).toEqual({
    ...{ prompts: "compared", numbers: 0.01, letterCase: "ignored" },
  });
  expect(mergeComparison(assignment, {})).toEqual(assignment);
});

test("rules that hold anyway are not written, and the sentences stay the same", () => {
  const said: Comparison = { prompts: "ignored", blanks: "compared", numbers: null, order: "free" };
  expect(ownRules(said)).toEqual({ prompts: "ignored", order: "free" });
  expect(comparisonWords(ownRules(said))).toEqual(comparisonWords(said));
});

test("every rule that holds is said in a sentence", () => {
  const words = comparisonWords({ prompts: "ignored", numbers: 0.5, order: "free", otherLines: "ignored" });
  expect(words).toHaveLength(6);
  expect(words.join(" ")).toMatch(/Prompts do not count.*differ by 0\.5.*any order.*Only the intended lines/);
  expect(comparisonWords({}).join(" ")).toMatch(
    /Prompts count.*as they are written.*in their order.*Every line counts/,
  );
});

test("a rule that is not known is refused", () => {
  expect(comparisonSchema.safeParse({ prompts: "sometimes" }).success).toBe(false);
  expect(comparisonSchema.safeParse({ colour: "ignored" }).success).toBe(false);
  expect(comparisonSchema.safeParse({ numbers: -1 }).success).toBe(false);
});

const rules = fc.record(
  {
    blanks: fc.constantFrom("compared" as const, "exact" as const, "ignored" as const),
    letterCase: fc.constantFrom("compared" as const, "ignored" as const),
    numbers: fc.option(fc.double({ min: 0, max: 5, noNaN: true })),
  },
  { requiredKeys: [] },
);

test("a line is always the same as itself, and comparing goes both ways", () => {
  const line = fc.stringMatching(/^[A-Ca-c0-9 .-]{0,12}$/);
  fc.assert(
    fc.property(line, line, rules, (one, other, comparison) => {
      expect(sameLine(one, one, comparison)).toBe(true);
      expect(sameLine(one, other, comparison)).toBe(sameLine(other, one, comparison));
    }),
  );
});

test("numbers are near exactly within the tolerance", () => {
  fc.assert(
    fc.property(fc.integer({ min: -5000, max: 5000 }), fc.integer({ min: 0, max: 400 }), (hundredths, off) => {
      const line = (value: number) => `Load: ${(value / 100).toFixed(2)} t`;
      expect(sameLine(line(hundredths), line(hundredths + off), { numbers: 2 })).toBe(off <= 200);
    }),
  );
});

test("whole numbers of any size are near exactly within the tolerance", () => {
  const wholes = fc.bigInt({ min: -(2n ** 80n), max: 2n ** 80n });
  fc.assert(
    fc.property(wholes, fc.bigInt({ min: -30n, max: 30n }), fc.integer({ min: 0, max: 20 }), (number, off, most) => {
      const near = (off < 0n ? -off : off) <= BigInt(most);
      expect(sameLine(`Load: ${number} t`, `Load: ${number + off} t`, { numbers: most })).toBe(near);
      expect(sameLine(`Load: ${number}`, `Load: ${number + off}`, {})).toBe(off === 0n);
    }),
  );
  expect(sameLine("+7", "7", { numbers: 0 })).toBe(true);
  expect(sameLine("7", "7.0", { numbers: 0 })).toBe(true);
  expect(sameLine("7", "8", { numbers: 0.9 })).toBe(false);
});
