import { limitsSchema } from "../core/outcome/outcome.ts";
import { createPythonToolchain } from "../server/toolchains/python.ts";
import type { Measure } from "./measure.ts";

const steps = 100_000;

/** Each program runs 100 000 lines and a few more. */
const programs = [
  {
    work: "record 100 000 steps, integers",
    atMost: 10,
    text: "low = 0\nhigh = 0\ntide = 1\nfor hour in range(25000):\n    low = low + tide\n    high = high + low % 7\n    tide = hour % 5\n",
  },
  {
    work: "record 100 000 steps, a 50-element list changed in place",
    atMost: 22,
    text: "loads = list(range(50))\ntotal = 0\nfor hour in range(25000):\n    place = hour % 50\n    loads[place] = loads[place] + hour\n    total = total + loads[place]\n",
  },
  {
    work: "record 100 000 steps, recursion with objects",
    atMost: 30,
    text: "class Boat:\n    def __init__(self, load, next):\n        self.load = load\n        self.next = next\ndef chain(n):\n    if n == 0:\n        return None\n    rest = chain(n - 1)\n    return Boat(n, rest)\ndef total(boat):\n    if boat is None:\n        return 0\n    return boat.load + total(boat.next)\nfor hour in range(650):\n    boats = chain(12)\n    load = total(boats)\n",
  },
];

/** Runs a program under a trace function that does nothing; prints the seconds that it took. */
function underEmptyTrace(text: string): string {
  return `import sys, time
def nothing(frame, event, argument):
    return nothing
code = compile(${JSON.stringify(text)}, "program.py", "exec")
start = time.perf_counter()
sys.settrace(nothing)
exec(code, {})
sys.settrace(None)
print(time.perf_counter() - start)
`;
}

/**
 * Recording with default settings (but for the number of steps), from the fork to the end of the sandboxed run with its
 * recording written, against an empty trace function.
 */
export async function benchRecorder(): Promise<Measure[]> {
  const toolchain = createPythonToolchain();
  const limits = limitsSchema.parse({ steps, cpuSeconds: 60, wallSeconds: 120, memoryBytes: 1024 * 1024 * 1024 });
  const request = (text: string) => ({ files: [{ name: "program.py", bytes: Buffer.from(text) }], input: "", limits });
  const measures: Measure[] = [];
  try {
    for (const program of programs) {
      let [ours, plain] = [Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY];
      let [whole, recorded] = [Number.POSITIVE_INFINITY, 0];
      for (let round = 0; round < 5; round++) {
        const empty = await toolchain.run(request(underEmptyTrace(program.text)));
        plain = Math.min(plain, Number(empty.console[0]?.text) * 1000);
        const start = performance.now();
        const trace = await toolchain.trace(request(program.text));
        recorded = trace.steps.length;
        whole = Math.min(whole, performance.now() - start);
        ours = Math.min(ours, trace.outcome.milliseconds);
      }
      if (recorded !== steps) throw new Error(`${program.work}: only ${recorded} steps`);
      console.log(
        `${program.work}: ${Math.round(ours)} ms in the sandbox (${Math.round(whole)} ms until the steps are in the app); empty trace function: ${Math.round(plain)} ms`,
      );
      measures.push({
        work: program.work,
        against: "settrace function that does nothing",
        value: ours / plain,
        unit: "x",
        atMost: program.atMost,
      });
    }
    return measures;
  } finally {
    await toolchain.close();
  }
}
