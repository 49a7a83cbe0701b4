import { expect, test } from "vitest";
import { frameEnds } from "./frameEnds.ts";
import type { Step } from "./trace.ts";

const steps = (calls: ReadonlyArray<string | undefined>, deeper: readonly number[] = []): Step[] =>
  calls.map((call, index) => ({
    ...{ index, file: 0, line: index + 1, frame: 1, depth: deeper.includes(index) ? 1 : 0, writes: [], ended: [] },
    ...(call === undefined ? {} : { call }),
  }));

test("a frame is over where the next function begins by itself, or where the run ends", () => {
  const run = steps(["setup", undefined, "draw", undefined, "mousePressed", undefined, "draw", undefined]);
  expect(frameEnds(run)).toEqual([4, 8]);
});

test("what draw calls itself belongs to its frame", () => {
  expect(frameEnds(steps(["draw", undefined, "mast", undefined, "draw"], [2, 3]))).toEqual([4, 5]);
});

test("a run without a frame has none", () => {
  expect(frameEnds(steps(["start", undefined]))).toEqual([]);
});
