import fc from "fast-check";
import { expect, test } from "vitest";
import { python } from "../languages/python/python.ts";
import { createRecordingReader } from "../trace/readRecording.ts";
import type { Step, Trace } from "../trace/trace.ts";
import { findEndlessLoop } from "./endless.ts";
import { sameRounds } from "./sameRounds.ts";

const outcome: Trace["outcome"] = {
  ...{ started: true, finished: false, stoppedBy: "steps", exit: { code: 0, signal: 0 }, diagnostics: [] },
  ...{ console: [], effects: [], inputRanOut: false, milliseconds: 1, translator: "CPython" },
};

/** A recording of a loop at line 2 whose line 3 gives a name these values, one in each pass. */
function looping(values: readonly number[]): Trace {
  const tokens: unknown[] = [1, ["d", 1, 0, "low"], -1, 0];
  for (const value of values) tokens.push(2, 3, -1, value);
  tokens.push(2);
  return { outcome, files: ["a.py"], steps: createRecordingReader().read(JSON.stringify(tokens)) ?? [] };
}
const seen = () => false;
const frameOf = ({ steps }: Trace) => steps.find((step) => step.line === 2)?.frame ?? -1;

test("the passes at the end that give the very same values are counted, whatever came before", () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 0, max: 5 }), { maxLength: 20 }),
      fc.integer({ min: 1, max: 40 }),
      (before, same) => {
        const trace = looping([...before, 9, ...Array.from({ length: same }, () => 7)]);
        expect(sameRounds(trace, 2, frameOf(trace), seen, 1000)).toBe(same);
      },
    ),
  );
});

test("no more passes are looked at than asked for; a line that is not seen whole ends the count, and so does what is read", () => {
  const trace = looping(Array.from({ length: 60 }, () => 7));
  const frame = frameOf(trace);
  expect(sameRounds(trace, 2, frame, seen, 20)).toBe(20);
  expect(sameRounds(trace, 2, frame, (step) => step.line === 3, 1000)).toBe(0);
  const at = trace.steps.length - 20;
  const read = {
    ...trace,
    steps: trace.steps.map((step): Step => (step.index === at ? { ...step, in: "4\n" } : step)),
  };
  expect(sameRounds(read, 2, frame, seen, 1000)).toBeLessThan(12);
  expect(sameRounds(trace, 2, frame + 1, seen, 1000)).toBe(0);
});

const program = "low = 0\nwhile low != 4:\n    low = step(low)\n";
test("a loop that goes round the same in the end does not end, although its names changed at first", () => {
  const trace = looping([1, 2, 3, ...Array.from({ length: 80 }, () => 7)]);
  expect(findEndlessLoop(python, program, trace)).toMatchObject({ ground: "state repeats", line: 2, proof: false });
  const few = looping([1, 2, 3, ...Array.from({ length: 10 }, () => 7)]);
  expect(findEndlessLoop(python, program, few)).toBeNull();
});

test("what draws on chance or the clock may end at any pass", () => {
  const trace = looping(Array.from({ length: 80 }, (_, pass) => (pass === 0 ? 5 : 7)));
  expect(findEndlessLoop(python, program.replace("step(low)", "random(low)"), trace)?.ground).not.toBe("state repeats");
});

/** Passes of a loop at line 2 in each of which line 3 gives `boat` an object, told by the pass. */
function making(object: (pass: number) => Step["writes"], passes = 60): Trace {
  const step = (line: number, writes: Step["writes"] = []): Step => ({
    ...{ index: 0, file: 0, frame: 0, depth: 0 },
    ...{ line, writes },
  });
  const rounds = Array.from({ length: passes }, (_, pass) => [step(2), step(3, object(pass))]).flat();
  return { outcome, files: ["a.py"], steps: [...rounds, step(2)].map((one, index) => ({ ...one, index })) };
}
const boat = (id: number, speed: number): Step["writes"][number] => ({
  ...{ scope: "frame", owner: 0, path: ["boat"] },
  value: { type: "Boat", id, shape: "object", items: [{ key: "speed", value: { type: "int", text: String(speed) } }] },
});

test("objects that each pass makes anew are the same where what they hold is", () => {
  expect(
    sameRounds(
      making((pass) => [boat(pass + 9, 4)]),
      2,
      0,
      seen,
      1000,
    ),
  ).toBe(60);
  expect(
    sameRounds(
      making((pass) => [boat(pass + 9, pass)]),
      2,
      0,
      seen,
      1000,
    ),
  ).toBe(1);
});

test("a chain that grows by an object a pass is never the same", () => {
  const next = (pass: number): Step["writes"] => [
    boat(pass + 9, 4),
    { scope: "object", owner: pass + 9, path: ["next"], value: { type: "Boat", id: pass + 8 } },
  ];
  expect(sameRounds(making(next), 2, 0, seen, 1000)).toBe(1);
});

test("how the objects of a pass are numbered makes no difference, as long as each has a number of its own", () => {
  const two = (numbers: readonly [number, number]): Step["writes"] => [
    boat(numbers[0], 4),
    { scope: "object", owner: numbers[0], path: ["next"], value: { type: "Boat", id: numbers[1], shape: "object" } },
    { scope: "object", owner: numbers[1], path: ["speed"], value: { type: "int", text: "7" } },
  ];
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.integer({ min: 1, max: 5000 }), { minLength: 40, maxLength: 120 }),
      fc.integer({ min: 0, max: 19 }),
      (numbers, other) => {
        const passes = Math.floor(numbers.length / 2);
        const of = (pass: number): [number, number] => [numbers[2 * pass] ?? 0, numbers[2 * pass + 1] ?? 0];
        expect(
          sameRounds(
            making((pass) => two(of(pass)), passes),
            2,
            0,
            seen,
            1000,
          ),
        ).toBe(passes);
        // Where one pass uses a number for both, it does something else.
        const mixed = making((pass) => two(pass === other ? [of(pass)[0], of(pass)[0]] : of(pass)), passes);
        expect(sameRounds(mixed, 2, 0, seen, 1000)).toBe(Math.max(1, passes - 1 - other));
      },
    ),
  );
});
