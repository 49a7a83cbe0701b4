import { execFileSync } from "node:child_process";
import { join } from "node:path";
import { expect, test } from "vitest";
import { productFolder } from "../productFolder.ts";

/** A moment of a job: the clock, its processor seconds, its state, seconds ready without a processor, seconds without the machine. */
type Moment = readonly [now: number, cpu: number, state: "R" | "S", delay: number, away: number];

/** At each moment whether a job with so many seconds of wall time is over, by what the kernel would have said. */
function overAt(seconds: number, moments: readonly Moment[]): boolean[] {
  const program = `
import json, sys
sys.path.insert(0, ${JSON.stringify(join(productFolder, "runners/sandbox"))})
from bent_nail_sandbox import own_time
seconds, moments = json.loads(sys.stdin.read())
said = {"delay": 0.0, "away": 100.0}
own_time.delay_of = lambda processes: said["delay"]
own_time.stolen = lambda: said["away"]
own = own_time.OwnTime(0.0, 0.0)
over = []
for now, cpu, state, delay, away in moments:
    said.update(delay=delay, away=100.0 + away)
    own.look(now, cpu, {1: [state.encode()]})
    over.append(own.is_over(now, seconds))
print(json.dumps(over))
`;
  return JSON.parse(
    execFileSync("/usr/bin/python3", ["-c", program], { input: JSON.stringify([seconds, moments]), encoding: "utf8" }),
  );
}

/** Moments a second apart, in each of which so much happens. */
const everySecond = (count: number, cpu: number, state: "R" | "S", delay: number, away: number): Moment[] =>
  Array.from({ length: count }, (_, at) => {
    const passed = at + 1;
    return [passed, cpu * passed, state, delay * passed, away * passed];
  });

test.each<[string, Moment[], number | null]>([
  ["a program that waits is over when its time is", everySecond(6, 0, "S", 0, 0), 4],
  ["one that waits is not held up by what others do to the machine", everySecond(6, 0, "S", 0, 0.9), 4],
  ["one that computes all the time has had its time", everySecond(6, 1, "R", 0, 0), 4],
  ["one that computes where the processors are away half of the time", everySecond(6, 0.5, "R", 0, 0.5), null],
  ["it is over when its own seconds are", everySecond(12, 0.5, "R", 0, 0.5), 8],
  ["what other programs of the machine took counts as well", everySecond(12, 0.25, "R", 0.25, 0.5), null],
  ["a processor that was away while the job computed holds up no more than passed", everySecond(6, 1, "R", 0, 0.9), 4],
  ["whoever had the processors, a job ends at twenty times its time", everySecond(90, 0.01, "R", 0, 0.99), 71],
])("%s", (_, moments, first) => {
  const over = overAt(3.5, moments);
  const at = over.indexOf(true);
  expect(at < 0 ? null : moments[at]?.[0]).toBe(first);
  // Once it is over, it stays over.
  if (at >= 0) expect(over.slice(at)).not.toContain(false);
});
