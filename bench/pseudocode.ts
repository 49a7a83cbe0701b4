import { spawnSync } from "node:child_process";
import { runMachine, usualMachineLimits } from "../core/interpreters/pseudocode/machine.ts";
import { prepare, runPseudocode } from "../core/interpreters/pseudocode/run.ts";
import { newState } from "../core/interpreters/pseudocode/state.ts";
import type { Measure } from "./measure.ts";

const passes = 400_000;
/** Four lines a pass: the header, two that work, and a decision. */
const linesOfPass = 4;
const program = `total <- 0
FOR trip <- 1 TO ${passes}
    total <- total + trip MOD 7
    IF total > 1000000 THEN
        total <- 0
    ENDIF
NEXT trip
OUTPUT total
`;
const python = `import time
start = time.perf_counter()
total = 0
for trip in range(1, ${passes} + 1):
    total = total + trip % 7
    if total > 1000000:
        total = 0
print(time.perf_counter() - start)
`;

/** The same loop in plain JavaScript. */
function plainLoop(): number {
  let total = 0;
  for (let trip = 1; trip <= passes; trip++) {
    total = total + (trip % 7);
    if (total > 1_000_000) total = 0;
  }
  return total;
}

const best = (rounds: number, work: () => number): number => Math.min(...Array.from({ length: rounds }, work));
const timed = (work: () => unknown): number => {
  const start = performance.now();
  work();
  return (performance.now() - start) / 1000;
};

/** The interpreter against CPython and against plain JavaScript, the same loop in each; and its recording. */
export async function benchPseudocode(): Promise<Measure[]> {
  const prepared = prepare(program);
  if ("problems" in prepared) throw new Error("not read");
  const silent = { write: () => undefined, typed: () => undefined };
  const run = () => runMachine(prepared.compiled, newState(prepared.compiled, ""), silent, usualMachineLimits);
  const ours = best(5, () => timed(run));
  const theirs = best(3, () => Number(spawnSync("python3", ["-c", python], { encoding: "utf8" }).stdout));
  // Often enough to be measured.
  const plain = best(5, () => timed(() => Array.from({ length: 20 }, plainLoop))) / 20;
  const steps = 50_000;
  const recording = best(3, () =>
    timed(() => runPseudocode({ program, fileName: "loop.pseudo", input: "", record: steps })),
  );
  const each = (seconds: number, lines: number) => seconds / lines;
  return [
    {
      work: "a loop of 1.6 million lines in pseudocode",
      against: "the same loop in CPython",
      ...{ value: ours / theirs, unit: "x", atMost: 10 },
    },
    {
      work: "a loop of 1.6 million lines in pseudocode",
      against: "the same loop in JavaScript",
      ...{ value: ours / plain, unit: "x", atMost: 400 },
    },
    {
      work: "a recorded line of pseudocode",
      against: "a line of the same loop in CPython",
      ...{ value: each(recording, steps) / each(theirs, passes * linesOfPass), unit: "x", atMost: 67 },
    },
  ];
}
