import fc from "fast-check";
import { expect, test } from "vitest";
import { isUnknown, text, unknown, whole } from "../../expressions/known.ts";
import type { Answer } from "../../expressions/rules.ts";
import { byOwnValue, counted, range, roundOf } from "./rounds.ts";

const int = (value: number) => whole(BigInt(value), "int");
const numbers = (items: readonly Answer[]) => items.map((each) => (each.kind === "whole" ? Number(each.value) : "?"));

test("a range goes by its step, to its limit or with it, and nowhere where it leads away or stands still", () => {
  expect(numbers(range("n", int(1), int(7), int(2), false).items)).toEqual([1, 3, 5]);
  expect(numbers(range("n", int(1), int(7), int(2), true).items)).toEqual([1, 3, 5, 7]);
  expect(numbers(range("n", int(3), int(1), int(-1), true).items)).toEqual([3, 2, 1]);
  expect(range("n", int(3), int(1), int(1), true).items).toEqual([]);
  expect(range("n", int(3), int(9), int(0), true).items.every(isUnknown)).toBe(true);
  expect(range("n", unknown("?"), int(9), int(1), true).items.every(isUnknown)).toBe(true);
});

test("a range without an end is cut, so that nobody waits for it", () => {
  expect(range("n", int(0), int(1_000_000_000), int(1), false).items.length).toBeLessThan(6000);
});

test("what a loop goes through: bounds with their usual values, the letters of a text, nothing that is known", () => {
  const worked = (expression: string): Answer =>
    /^-?\d+$/.test(expression) ? int(Number(expression)) : expression === "name" ? text("Auk", "str") : unknown("?");
  const upTo = { kind: "range" as const, start: null, limit: "3", step: null, inclusive: false };
  expect(numbers(roundOf("n", upTo, worked).items)).toEqual([0, 1, 2]);
  expect(roundOf("n", { kind: "items", of: "name" }, worked).items).toHaveLength(3);
  expect(roundOf("n", { kind: "items", of: "elsewhere" }, worked).items.every(isUnknown)).toBe(true);
});

test("a counting loop goes on from the value that its own variable has", () => {
  const round = { ...range("n", int(1), int(5), int(1), true), next: 2 };
  expect(numbers([counted(round, int(7))])).toEqual([8]);
  expect(numbers([counted({ ...round, next: 0 }, int(7))])).toEqual([1]);
  expect([4, 5, 9].map((own) => byOwnValue(round, int(own)))).toEqual([true, false, false]);
  const down = { ...range("n", int(5), int(1), int(-2), true), next: 1 };
  expect(numbers([counted(down, int(4))])).toEqual([2]);
  expect([3, 2].map((own) => byOwnValue(down, int(own)))).toEqual([true, false]);
});

test("with its own values a counting loop goes round as often as its range has numbers", () => {
  const bounds = fc.record({
    from: fc.integer({ min: -9, max: 9 }),
    to: fc.integer({ min: -9, max: 9 }),
    by: fc.constantFrom(-3, -1, 1, 2),
  });
  fc.assert(
    fc.property(bounds, ({ from, to, by }) => {
      const round = range("n", int(from), int(to), int(by), true);
      let own: Answer | undefined;
      const passes: Array<number | string> = [];
      for (let next = 0; next < 30; next++) {
        if (!byOwnValue({ ...round, next }, own)) break;
        own = counted({ ...round, next }, own);
        passes.push(...numbers([own]));
      }
      expect(passes).toEqual(numbers(round.items));
    }),
  );
});
