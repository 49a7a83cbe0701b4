import { afterAll, beforeAll, expect, test, vi } from "vitest";
import type { PseudocodeRun } from "../../core/interpreters/pseudocode/run.ts";
import { limitsSchema } from "../../core/outcome/outcome.ts";
import { createThread } from "./thread.ts";

let thread: ReturnType<typeof createThread>;
beforeAll(() => {
  thread = createThread();
});
afterAll(() => thread.close());

const limits = limitsSchema.parse({ cpuSeconds: 20, wallSeconds: 20 });
const run = (program: string): PseudocodeRun => ({ program, fileName: "ferry.pseudo", input: "" });
const endless = run("WHILE TRUE DO\nx ← 1\nENDWHILE");

test("a run that a person stops ends, one that is stopped before its turn never begins, and the next one is well", async () => {
  const [now, waiting] = [new AbortController(), new AbortController()];
  const first = thread.ask({ check: false, run: endless }, limits, now.signal);
  const second = thread.ask({ check: false, run: endless }, limits, waiting.signal);
  const third = thread.ask({ check: false, run: run("OUTPUT 1") }, limits);
  waiting.abort();
  setTimeout(() => now.abort(), 50);
  expect(await first).toBe("person");
  expect(await second).toBe("person");
  expect(await third).toMatchObject({ outcome: { stoppedBy: "none", console: [{ text: "1\n" }] } });
});

test("what a run left is not there in the next one", async () => {
  await thread.ask({ check: false, run: run("load ← 4") }, limits);
  const next = await thread.ask({ check: false, run: run("OUTPUT load") }, limits);
  expect(next).toMatchObject({ outcome: { stoppedBy: "fault" } });
});

test("a run is over in its time though the server had no turn for longer than that", async () => {
  // The thread is there already: its start is no part of a run.
  await thread.ask({ check: false, run: run("OUTPUT 0") }, limits);
  const short = { ...limits, cpuSeconds: 0.3, wallSeconds: 0.3 };
  const asked = thread.ask({ check: false, run: run("OUTPUT 1") }, short);
  await new Promise((resolve) => setTimeout(resolve, 0));
  const until = Date.now() + 700;
  while (Date.now() < until);
  expect(await asked).toMatchObject({ outcome: { stoppedBy: "none", console: [{ text: "1\n" }] } });
  expect(await thread.ask({ check: false, run: endless }, short)).toBe("time");
});

test("a run that the processors keep waiting has more looks at it, six times as many at most", async () => {
  await thread.ask({ check: false, run: run("OUTPUT 0") }, limits);
  const short = { ...limits, cpuSeconds: 0.14, wallSeconds: 0.14 };
  /** How often it is looked at the clock of the process, if each look finds this much used, in microseconds. */
  const looksWith = async (user: number) => {
    const used = vi.spyOn(process, "cpuUsage").mockReturnValue({ user, system: 0 });
    try {
      expect(await thread.ask({ check: false, run: endless }, short)).toBe("time");
      // Once at the beginning, then twice with each look.
      return (used.mock.calls.length - 1) / 2;
    } finally {
      used.mockRestore();
    }
  };
  expect(await looksWith(100_000)).toBe(2);
  expect(await looksWith(50_000)).toBe(3);
  expect(await looksWith(0)).toBe(9);
});
