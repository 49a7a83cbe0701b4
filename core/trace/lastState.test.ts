import { expect, test } from "vitest";
import { lastState } from "./lastState.ts";
import type { Step, Trace } from "./trace.ts";

const step = (index: number, line: number, writes: Step["writes"], frame = 0): Step => ({
  index,
  line,
  file: 0,
  frame,
  depth: 0,
  writes,
});
const trace = (steps: Step[]): Trace => ({ steps, files: ["deck.py"], outcome: undefined as never });

test("the last line, and what changed last first; names of other calls are left out", () => {
  const found = lastState(
    trace([
      step(0, 1, [{ scope: "global", owner: 0, path: ["boats"], value: { type: "int", text: "5" } }]),
      step(1, 7, [{ scope: "frame", owner: 3, path: ["inner"], value: { type: "int", text: "1" } }], 3),
      step(2, 2, [{ scope: "global", owner: 0, path: ["trips"], value: { type: "int", text: "1" } }]),
      step(3, 3, [{ scope: "global", owner: 0, path: ["trips"], value: { type: "int", text: "2" } }]),
    ]),
  );
  expect(found).toEqual({
    line: 3,
    values: [
      { name: "trips", text: "2" },
      { name: "boats", text: "5" },
    ],
  });
});

test("nothing is said where nothing ran", () => {
  expect(lastState(trace([]))).toBeNull();
});
