import { expect, test } from "vitest";
import { limitsSchema, type Outcome, unknownOutcome } from "../../core/outcome/outcome.ts";
import type { Step } from "../../core/trace/trace.ts";
import { cutRecording } from "./cut.ts";

const limits = limitsSchema.parse({ steps: 3 });
const steps = (count: number): Step[] =>
  Array.from({ length: count }, (_, index) => ({ index, line: 1, file: 0, frame: 0, depth: 0, writes: [] }));
const ended = (stoppedBy: Outcome["stoppedBy"]): Outcome => ({ ...unknownOutcome("person", ""), stoppedBy });

test.each([
  ["ended by itself", 2, "none", 2, undefined],
  ["ended with its last step", 3, "none", 3, undefined],
  ["went on", 3, "steps", 3, "The first 3 steps; the program went on. The limit is 3 steps."],
  ["had begun one more", 4, "steps", 3, "The first 3 steps; the program went on. The limit is 3 steps."],
  ["took too long", 2, "time", 2, "The first 2 steps, up to the time limit."],
  ["took too much memory", 1, "memory", 1, "The first 1 steps, up to the memory limit."],
  ["failed", 2, "fault", 2, undefined],
] as const)("a program that %s", (_, recorded, stoppedBy, kept, cut) => {
  const whole = cutRecording({ steps: steps(recorded), damaged: false }, ended(stoppedBy), limits);
  expect([whole.steps.length, whole.cut]).toEqual([kept, cut]);
});

test("a recording that the program disturbed says so; none at all has no steps", () => {
  expect(cutRecording({ steps: steps(1), damaged: true }, ended("none"), limits).cut).toContain(
    "disturbed its own recording",
  );
  expect(cutRecording(undefined, ended("refused"), limits)).toEqual({ steps: [] });
});
