import { expect, test } from "vitest";
import { unknownOutcome } from "../../core/outcome/outcome.ts";
import type { Trace } from "../../core/trace/trace.ts";
import { createTraceCache } from "../judge/traceCache.ts";
import { newCode, newKey } from "../keys.ts";
import { readLimits } from "../limits.ts";
import { createAttempts } from "./attempts.ts";

test("so many tries in a stretch of time, each name on its own", () => {
  let now = 0;
  const attempts = createAttempts(2, 1000, () => now);
  expect([attempts.allowed("a"), attempts.allowed("a"), attempts.allowed("a"), attempts.allowed("b")]).toEqual([
    true,
    true,
    false,
    true,
  ]);
  now = 1001;
  expect(attempts.allowed("a")).toBe(true);
  attempts.forget("a");
  expect([attempts.allowed("a"), attempts.allowed("a"), attempts.allowed("a")]).toEqual([true, true, false]);
});

test("keys and codes are long, without signs that are mistaken for one another, and never the same", () => {
  const keys = new Set(Array.from({ length: 2000 }, () => newKey()));
  expect(keys.size).toBe(2000);
  expect([...keys].every((key) => /^[a-hj-km-np-z2-9]{20}$/.test(key))).toBe(true);
  expect(newCode(8)).toMatch(/^[A-HJ-KM-NP-Z2-9]{4}-[A-HJ-KM-NP-Z2-9]{4}$/);
});

test("limits have defaults, can be set, and a wrong name or value is said", () => {
  expect(readLimits(undefined)).toEqual({
    cpuSeconds: 2,
    wallSeconds: 5,
    memoryBytes: 268_435_456,
    processes: 64,
    outputBytes: 1_048_576,
    fileBytes: 16_777_216,
    steps: 20_000,
  });
  expect(readLimits('{"cpuSeconds": 4}')).toMatchObject({ cpuSeconds: 4, wallSeconds: 5 });
  expect(() => readLimits("{cpu: 4}")).toThrow("no JSON");
  expect(() => readLimits('{"cpu": 4}')).toThrow("cpu");
  expect(() => readLimits('{"steps": -1}')).toThrow("steps");
});

const trace: Trace = {
  outcome: { ...unknownOutcome("person", ""), stoppedBy: "none", finished: true },
  files: [],
  steps: [],
};

test("a recording that two ask for at once is made once; the least used goes first; a failed one is not kept", async () => {
  let made = 0;
  const cache = createTraceCache(2);
  const make = async () => {
    made += 1;
    return trace;
  };
  await Promise.all([cache.get("a", make), cache.get("a", make)]);
  expect(made).toBe(1);
  await cache.get("b", make);
  await cache.get("a", make);
  await cache.get("c", make);
  await cache.get("a", make);
  expect(made).toBe(3);
  await cache.get("b", make);
  expect(made).toBe(4);
  // What tells nothing is made again for whoever asks next.
  const cutOff: Trace = { ...trace, outcome: unknownOutcome("broken", "It broke off.") };
  expect(await cache.get("e", async () => cutOff)).toBe(cutOff);
  expect(await cache.get("e", make)).toBe(trace);
  await expect(cache.get("d", () => Promise.reject(new Error("no sandbox")))).rejects.toThrow("no sandbox");
  expect(await cache.get("d", make)).toBe(trace);
});
