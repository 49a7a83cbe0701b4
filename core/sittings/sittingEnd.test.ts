import fc from "fast-check";
import { expect, test } from "vitest";
import { endOfSitting, type SittingTimes } from "./sittingEnd.ts";

const minute = 60_000;
const begun: SittingTimes = {
  rules: { minutes: null },
  bellAt: null,
  startedAt: 0,
  extraSeconds: 0,
  pausedSeconds: 0,
  pausedAt: null,
  later: false,
};

test("without a bell and without minutes a sitting never ends by itself", () => {
  expect(endOfSitting(begun, 5 * minute)).toBeNull();
});

test("the bell or the student's own minutes end it, whichever comes first", () => {
  const both = { ...begun, rules: { minutes: 40 }, bellAt: 30 * minute };
  expect(endOfSitting(both, 0)).toBe(30 * minute);
  expect(endOfSitting({ ...both, startedAt: -20 * minute }, 0)).toBe(20 * minute);
});

test("who sits it later has minutes of one's own and no bell", () => {
  expect(endOfSitting({ ...begun, bellAt: minute, later: true }, 0)).toBeNull();
  expect(endOfSitting({ ...begun, rules: { minutes: 40 }, bellAt: minute, later: true }, 0)).toBe(40 * minute);
});

test("a pause takes no time, from when the student had begun", () => {
  const paused = { ...begun, bellAt: 30 * minute, pausedAt: 10 * minute };
  expect(endOfSitting(paused, 10 * minute)).toBe(30 * minute);
  expect(endOfSitting(paused, 14 * minute)).toBe(34 * minute);
  expect(endOfSitting({ ...paused, startedAt: 12 * minute }, 14 * minute)).toBe(32 * minute);
});

test("time given on top is never lost, and what is left never grows while time passes", () => {
  const whole = (most: number) => fc.integer({ min: 0, max: most });
  const times = fc.record({
    rules: fc.record({ minutes: fc.option(fc.integer({ min: 1, max: 600 })) }),
    bellAt: fc.option(whole(1e9)),
    startedAt: whole(1e8),
    extraSeconds: whole(3600),
    pausedSeconds: whole(3600),
    pausedAt: fc.option(whole(1e8)),
    later: fc.boolean(),
  });
  fc.assert(
    fc.property(times, whole(1e9), whole(1e6), (given, since, passed) => {
      const now = 1e8 + since;
      const end = endOfSitting(given, now);
      const more = endOfSitting({ ...given, extraSeconds: given.extraSeconds + 60 }, now);
      if (end === null) {
        expect(more).toBeNull();
        return;
      }
      expect((more ?? 0) - end).toBe(minute);
      const afterwards = endOfSitting(given, now + passed) ?? 0;
      expect(afterwards - (now + passed)).toBeLessThanOrEqual(end - now);
      if (given.pausedAt === null) expect(afterwards).toBe(end);
    }),
  );
});
