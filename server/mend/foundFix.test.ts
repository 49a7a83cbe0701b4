import fc from "fast-check";
import { expect, test } from "vitest";
import { atomsOf } from "../../core/fixes/atoms.ts";
import { findHunks } from "../../core/fixes/hunks.ts";
import { type FoundFix, inOrder } from "./foundFix.ts";

const original = "total = 0\nfor load in loads:\n    total = load\nprint(totl)\nprint(total)\n";

/** A mending as a search finds it: the text after it, how likely it is, and whether it repairs. */
function fix(text: string, worth: number, repairs: FoundFix["repairs"] = "repairs"): FoundFix {
  const hunks = findHunks(original, text);
  return {
    ...{ repairs, because: "", text, hunks, worth },
    ...{ steps: hunks.map(() => "a step"), lines: hunks.map(({ start }) => start), why: "", families: [] },
    checks: { passed: 2, of: 2 },
  };
}

const summed = original.replace("total = load\n", "total += load\n");
const both = summed.replace("totl", "total");

test("a mending that does all of another one and more is left out, however likely it is", () => {
  expect(inOrder([fix(both, 9), fix(summed, 1)]).map(({ text }) => text)).toEqual([summed]);
  // Where nothing less does it, it stays.
  expect(inOrder([fix(both, 9)]).map(({ text }) => text)).toEqual([both]);
});

test("one that passes more checks stays beside a smaller one", () => {
  const less = { ...fix(summed, 1), checks: { passed: 1, of: 2 } };
  expect(inOrder([fix(both, 9), less]).map(({ checks }) => checks.passed)).toEqual([2, 1]);
});

test("what only hides the fault leaves no honest mending out, and comes last", () => {
  const hidden = original.replace("print(totl)", "print(12)");
  const honest = hidden.replace("total = load\n", "total += load\n");
  expect(inOrder([fix(hidden, 9, "hides"), fix(honest, 1)]).map(({ repairs }) => repairs)).toEqual([
    "repairs",
    "hides",
  ]);
});

test("one change comes before two that are each likelier, and of as many the likelier", () => {
  const begun = original.replace("total = 0", "total = 1").replace("totl", "total");
  const order = inOrder([fix(begun, 90), fix(summed, 1), fix(original.replace("totl", "load"), 5)]);
  expect(order.map(({ worth }) => worth)).toEqual([5, 1, 90]);
});

test("of any mendings none is left that holds a smaller one, and the likeliest of the rest comes first", () => {
  const parts = [
    (text: string) => text.replace("total = 0", "total = 1"),
    (text: string) => text.replace("total = load", "total += load"),
    (text: string) => text.replace("totl", "total"),
  ];
  const chosen = fc.subarray([0, 1, 2], { minLength: 1 });
  fc.assert(
    fc.property(fc.array(fc.tuple(chosen, fc.integer({ min: 1, max: 100 })), { minLength: 1, maxLength: 6 }), (all) => {
      const fixes = all.map(([places, worth]) =>
        fix(
          places.reduce((text, place) => parts[place]?.(text) ?? text, original),
          worth,
        ),
      );
      const left = inOrder(fixes);
      const written = left.map(({ hunks }) => new Set(hunks.flatMap(atomsOf).map((atom) => JSON.stringify(atom))));
      for (const [at, own] of written.entries())
        for (const [place, other] of written.entries())
          if (at !== place) expect([...other].every((hunk) => own.has(hunk)) && other.size < own.size).toBe(false);
      const inTurn = [...left].sort((one, other) => one.steps.length - other.steps.length || other.worth - one.worth);
      expect(left).toEqual(inTurn);
      expect(left.length).toBeGreaterThan(0);
    }),
  );
});
