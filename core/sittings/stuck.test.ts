import { expect, test } from "vitest";
import { type Tried, whyStuck } from "./stuck.ts";

const runs = (...errors: string[]): Tried[] => errors.map((error, at) => ({ exercise: "deck", error, at }));
const now = 60_000;

test("the same error again and again, in the newest runs of one program", () => {
  expect(whyStuck(runs("Name", "Name"), now, now)).toBeNull();
  expect(whyStuck(runs("Index", "Name", "Name", "Name"), now, now)).toBe("the same error in the last 3 runs");
  expect(whyStuck(runs("Name", "Name", "Name", ""), now, now)).toBeNull();
  const elsewhere = [...runs("Name", "Name"), { exercise: "fares", error: "Name", at: 9 }];
  expect(whyStuck(elsewhere, now, now)).toBeNull();
});

test("many runs that fail, each in its own way", () => {
  const many = runs("a", "b", "c", "d", "e", "f", "g", "h");
  expect(whyStuck(many, now, now)).toBe("8 runs of this program, and it still fails");
  expect(whyStuck([...many, { exercise: "deck", error: "", at: 9 }], now, now)).toBeNull();
});

test("nothing written for a long time", () => {
  expect(whyStuck([], 0, 5 * 60_000)).toBeNull();
  expect(whyStuck([], 0, 7.5 * 60_000)).toBe("nothing written for 7 minutes");
});
