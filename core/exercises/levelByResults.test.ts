import fc from "fast-check";
import { expect, test } from "vitest";
import { levelByResults } from "./levelByResults.ts";

const all = (count: number, earned: number) => Array.from({ length: count }, () => ({ earned, possible: 10 }));

test("few sitters say nothing, some draw the level, many decide it", () => {
  expect(levelByResults(2, all(3, 0))).toBeNull();
  expect(levelByResults(2, all(4, 0))).toMatchObject({ level: 3, share: 0, sitters: 4 });
  expect(levelByResults(2, all(60, 3))).toMatchObject({ level: 5 });
  expect(levelByResults(5, all(60, 10))).toMatchObject({ level: 1 });
  // What is earned as often as its level lets one expect stays what it is.
  expect(levelByResults(3, all(30, 6))).toMatchObject({ level: 3 });
  expect(levelByResults(1, [{ earned: 0, possible: 0 }])).toBeNull();
});

test("who earns more never makes an exercise harder", () => {
  const result = fc.record({ earned: fc.integer({ min: 0, max: 9 }), possible: fc.constant(10) });
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 5 }), fc.array(result, { minLength: 4, maxLength: 40 }), (measured, some) => {
      const before = levelByResults(measured, some)?.level ?? 0;
      const better = some.map((each, at) => (at === 0 ? { ...each, earned: each.earned + 1 } : each));
      expect(levelByResults(measured, better)?.level).toBeLessThanOrEqual(before);
      expect(before).toBeGreaterThanOrEqual(1);
      expect(before).toBeLessThanOrEqual(5);
    }),
  );
});
