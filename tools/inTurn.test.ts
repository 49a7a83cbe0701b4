import { existsSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { browserTestsOfOtherDays, unitTestsOfOtherDays } from "./inTurn.ts";
import { isLongRun, todaysShare } from "./share.ts";

beforeEach(() => void vi.stubEnv("BENT_NAIL_DAY", ""));
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllEnvs();
});

/** What is said on each of some days in a row. */
function onDays<Said>(count: number, say: () => Said): Said[] {
  return Array.from({ length: count }, (_, day) => {
    vi.useFakeTimers({ now: new Date(Date.UTC(2026, 10, 10 + day)) });
    return say();
  });
}

test.skipIf(isLongRun)("every file that comes in turn is there, and is run on one of twelve days, or of nine", () => {
  for (const [given, days, least] of [
    [unitTestsOfOtherDays, 12, 40],
    [browserTestsOfOtherDays, 9, 12],
  ] as const) {
    const left = onDays(days, () => given([]));
    const all = [...new Set(left.flat())];
    expect(all.length).toBeGreaterThanOrEqual(least);
    for (const file of all) {
      const path = join(import.meta.dirname, "..", file);
      expect(existsSync(path), file).toBe(true);
      expect(readFileSync(path, "utf8"), file).not.toContain("todaysShare(");
      expect(
        left.filter((files) => files.includes(file)),
        file,
      ).toHaveLength(days - 1);
    }
  }
});

test("who names a file tests it, whatever day it is; an option names none", () => {
  for (const name of ["kills", "server/http/kills.test.ts", "server/toolchains"])
    expect(unitTestsOfOtherDays([name])).toEqual([]);
  if (!isLongRun) expect(unitTestsOfOtherDays(["--reporter=json"]).length).toBeGreaterThan(0);
});

test.skipIf(isLongRun)("a share of a list is another one on the next day, and all come up", () => {
  const list = ["a", "b", "c", "d", "e", "f", "g"];
  const shares = onDays(3, () => todaysShare(list, 3));
  expect(shares.flat().sort()).toEqual(list);
  expect(shares.every((share) => share.length >= 2)).toBe(true);
  expect(onDays(1, () => todaysShare(list, 1))).toEqual([list]);
  vi.stubEnv("BENT_NAIL_DAY", "12");
  expect(todaysShare(list, 3)).toEqual(["a", "d", "g"]);
});
