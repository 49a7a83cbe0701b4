import fc from "fast-check";
import { expect, test } from "vitest";
import type { ExerciseFault } from "./exercise.ts";
import { hintsOf, takenHints } from "./hints.ts";

const fault = (line: number, more: Partial<ExerciseFault> = {}): ExerciseFault => ({
  ...{ class: "logic", symptom: "", message: "", reportedLine: null, faultyLines: [line] },
  hunks: [{ start: line, before: ["a = 1\n"], after: ["a = 2\n"] }],
  ...more,
});
const program = (lines: number) => "a = 1\n".repeat(lines);

test("each hint says more than the one before, the last one the line", () => {
  expect(hintsOf({ program: program(12), faults: [fault(7)] })).toEqual([
    "It runs, and what it does is not what was meant. Go through it with the values on paper.",
    expect.stringMatching(/^Look between line \d+ and line \d+\.$/),
    "One line has to be changed, and it stays one line.",
    "The mistake is in line 7.",
  ]);
});

test("a short program has no stretch to look at; a line that is missing or too much is said", () => {
  const missing = fault(2, { class: "syntax", hunks: [{ start: 2, before: [], after: ["}\n"] }] });
  expect(hintsOf({ program: program(4), faults: [missing] })).toEqual([
    expect.stringContaining("whether it is started at all"),
    "Something is missing: a line has to be added.",
    "The mistake is in line 2.",
  ]);
  const extra = fault(2, { hunks: [{ start: 2, before: ["x\n"], after: [] }] });
  expect(hintsOf({ program: program(4), faults: [extra] })[1]).toBe("Something is too much: a line has to go.");
  expect(hintsOf({ program: program(4), faults: [] })).toEqual([]);
});

test("the stretch always holds the faulty line and lies in the program", () => {
  fc.assert(
    fc.property(fc.integer({ min: 6, max: 300 }), fc.nat(), (lines, at) => {
      const line = 1 + (at % lines);
      const said = hintsOf({ program: program(lines), faults: [fault(line)] }).find((hint) => hint.startsWith("Look"));
      const [first = 0, last = 0] = (said?.match(/\d+/g) ?? []).map(Number);
      expect(first).toBeGreaterThanOrEqual(1);
      expect(last).toBeLessThanOrEqual(lines);
      expect(first).toBeLessThanOrEqual(line);
      expect(last).toBeGreaterThanOrEqual(line);
    }),
  );
});

test("what was kept in another form is nothing taken", () => {
  expect(takenHints({ costs: [0.5, 1] })).toEqual({ costs: [0.5, 1] });
  for (const kept of [null, 7, { costs: [-1] }, { costs: "x" }]) expect(takenHints(kept)).toEqual({ costs: [] });
});
