import fc from "fast-check";
import { expect, test } from "vitest";
import { ochiai } from "./spectrum.ts";

const run = (passes: boolean, ...lines: number[]) => ({ passes, lines: new Set(lines) });

test("A line that failing runs alone go through speaks most for the fault; one that passing ones alone do, not at all", () => {
  const found = ochiai([run(false, 1, 2, 4), run(true, 1, 2), run(true, 1, 3)]);
  expect(found.get(4)).toBe(1);
  expect(found.get(2)).toBeCloseTo(1 / Math.sqrt(2));
  expect(found.get(1)).toBeCloseTo(1 / Math.sqrt(3));
  expect(found.get(3)).toBe(0);
});

test("It lies between 0 and 1 whatever ran, and says nothing where nothing failed", () => {
  const runs = fc.array(fc.record({ passes: fc.boolean(), lines: fc.array(fc.nat(9)).map((lines) => new Set(lines)) }));
  fc.assert(
    fc.property(runs, (all) => {
      const found = ochiai(all);
      if (all.every((each) => each.passes)) expect(found.size).toBe(0);
      for (const value of found.values()) expect(value >= 0 && value <= 1 + 1e-9).toBe(true);
    }),
  );
});
