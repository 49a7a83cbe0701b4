import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { chainsOf, coveredBranches, elseIfsApart } from "./branches.ts";
import { editContext } from "./context.ts";

function contextOf(id: string, text: string) {
  const language = findLanguage(id);
  const context = language && editContext(language, text);
  if (!context) throw new Error(id);
  return context;
}

/** Lines (from 1) of the branches that are never taken, each with that of the one that takes what it is for. */
function covered(id: string, text: string): Array<[earlier: number, later: number]> {
  const context = contextOf(id, text);
  return coveredBranches(context).map(({ earlier, later }) => [
    context.lineOf(earlier.condition.from),
    context.lineOf(later.condition.from),
  ]);
}

const signs = {
  "<": (value: number, limit: number) => value < limit,
  "<=": (value: number, limit: number) => value <= limit,
  ">": (value: number, limit: number) => value > limit,
  ">=": (value: number, limit: number) => value >= limit,
} as const;
const limits = fc.record({
  sign: fc.constantFrom(...(Object.keys(signs) as Array<keyof typeof signs>)),
  limit: fc.integer({ min: 1, max: 9 }),
});

describe("branches that are never taken", () => {
  test("by chance: each that is named is taken by no value that gets as far as it", () => {
    fc.assert(
      fc.property(fc.array(limits, { minLength: 2, maxLength: 5 }), (chain) => {
        const text = chain
          .map(({ sign, limit }, at) => `${at === 0 ? "if" : "elif"} wind ${sign} ${limit}:\n    force = ${at}\n`)
          .join("");
        // Half steps stand for decimal numbers between the limits.
        const values = Array.from({ length: 44 }, (_, at) => (at - 2) / 2);
        const taken = new Set(
          values.map((value) => chain.findIndex(({ sign, limit }) => signs[sign](value, limit)) * 2 + 1),
        );
        for (const [earlier, later] of covered("python", text)) {
          expect(earlier).toBeLessThan(later);
          expect(taken.has(later)).toBe(false);
        }
      }),
    );
  });

  test("by chance: of two branches that ask upwards or downwards alike, the covered one is found", () => {
    fc.assert(
      fc.property(limits, limits, (one, other) => {
        fc.pre(one.sign[0] === other.sign[0]);
        const text = `if (wind ${one.sign} ${one.limit}) {\n  f(1);\n} else if (wind ${other.sign} ${other.limit}) {\n  f(2);\n}\n`;
        const values = Array.from({ length: 44 }, (_, at) => (at - 2) / 2);
        const isTaken = values.some(
          (value) => signs[other.sign](value, other.limit) && !signs[one.sign](value, one.limit),
        );
        expect(covered("c", `void g(int wind) {\n${text}}\n`)).toEqual(isTaken ? [] : [[2, 4]]);
      }),
    );
  });

  test("limits on either side of the sign, in brackets, in the third branch", () => {
    expect(covered("java", "class M { void f(int a) {\nif (6 <= a) g(1);\nelse if ((a > 9)) g(2);\n} }")).toEqual([
      [2, 3],
    ]);
    expect(covered("octave", "if a > 20\n  b = 3;\nelseif a > 6\n  b = 1;\nelseif a > 9\n  b = 2;\nend\n")).toEqual([
      [3, 5],
    ]);
  });

  test("none where another name is asked, where the order is right, or where decisions stand beside one another", () => {
    expect(covered("python", "if wind > 6:\n    a = 1\nelif waves > 9:\n    a = 2\n")).toEqual([]);
    expect(covered("python", "if wind > 9:\n    a = 2\nelif wind > 6:\n    a = 1\n")).toEqual([]);
    expect(covered("python", "if wind > 6:\n    a = 1\nif wind > 9:\n    a = 2\n")).toEqual([]);
    expect(covered("pascal", "begin\n  if a > limit then b := 1\n  else if a > 9 then b := 2;\nend.")).toEqual([]);
  });
});

test("a decision inside an else is no branch of the chain", () => {
  const context = contextOf("python", "if a > 6:\n    b = 1\nelse:\n    if a > 9:\n        b = 2\n");
  expect(chainsOf(context)).toEqual([]);
});

test.each([
  ["octave", "if a < 6\n  b = 0;\nelse if a < 16\n  b = 2;\nend\nend\n", ["else if"]],
  ["octave", "if a < 6\n  b = 0;\nelseif a < 16\n  b = 2;\nend\n", []],
  ["octave", "if a < 6\n  b = 0;\nelse\n  if a < 16\n    b = 2;\n  end\nend\n", []],
  ["pascal", "begin\n  if a < 6 then b := 0 else if a < 16 then b := 2;\nend.", []],
  ["c", "void f(int a) { if (a < 6) g(0); else if (a < 16) g(2); }", []],
])("else if in two words: %s %j", (id, text, found) => {
  const context = contextOf(id, text);
  expect(elseIfsApart(context).map((place) => context.sourceOf(place))).toEqual(found);
});
