import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { chromium, type Page } from "@playwright/test";
import { collectCase } from "../server/cases/caseStore.ts";
import { serve } from "../server/http/serve.ts";
import type { Measure } from "./measure.ts";
import { percentile } from "./yardsticks.ts";

const port = 4398;

/** A program of about 20 000 steps with calls, decisions, objects and a list that changes. */
const program = `class Ferry:
    def __init__(self, name):
        self.name = name
        self.load = 0

    def board(self, cars):
        self.load = self.load + cars

def fits(load, most):
    if load > most or load < 0:
        return False
    return True

fleet = [Ferry("Tern"), Ferry("Auk"), Ferry("Fulmar")]
trips = [0, 0, 0]
total = 0
for crossing in range(5000):
    at = crossing % 3
    boat = fleet[at]
    if fits(boat.load, 90000):
        boat.board(crossing % 7)
    trips[at] = trips[at] + 1
    total = total + crossing % 7
print("Total:", total)
`;

/** The time between two frames of the browser here, in milliseconds: the middle one of many. */
async function frameTime(page: Page): Promise<number> {
  const times = await page.evaluate(async () => {
    const found: number[] = [];
    let last = await new Promise<number>(requestAnimationFrame);
    for (let round = 0; round < 60; round++) {
      const now = await new Promise<number>(requestAnimationFrame);
      found.push(now - last);
      last = now;
    }
    return found;
  });
  return percentile(times, 0.5);
}

/** The times that presses of a button take until the page has worked out what is to be drawn, in milliseconds. */
async function pressTimes(page: Page, name: string, presses: number): Promise<number[]> {
  return page.getByRole("button", { name }).evaluate(async (button, count) => {
    const found: number[] = [];
    for (let round = 0; round < count; round++) {
      await new Promise(requestAnimationFrame);
      const start = performance.now();
      (button as HTMLButtonElement).click();
      // What a press changes is worked out before the next task.
      await Promise.resolve();
      await Promise.resolve();
      found.push(performance.now() - start);
    }
    return found;
  }, presses);
}

/**
 * The dry run's room with a recording of 20 000 steps in a real browser, against the frames of that browser: ready within
 * as many as a second has, a press within one.
 */
export async function benchDryRun(): Promise<Measure[]> {
  const folder = mkdtempSync(join(tmpdir(), "bent-nail-bench-"));
  let key = "";
  process.env.BENT_NAIL_LOG = "silent";
  await serve({
    ...{ port, host: "127.0.0.1", folder },
    load: async ({ database }) => {
      key = await collectCase(database, {
        ...{
          language: "python",
          course: null,
          student: null,
          title: "Fleet",
          intent: "",
          changedLast: "",
          symptom: null,
        },
        ...{ files: [{ name: "fleet.py", bytes: Buffer.from(program) }], input: "", expected: "Total: 1\n" },
      });
    },
  });
  const address = `http://127.0.0.1:${port}/cases/${key}/run`;
  // The recording is made once and kept: how long a program runs is not asked here.
  await (await fetch(address)).text();
  const browser = await chromium.launch({
    executablePath: "/usr/bin/chromium",
    args: ["--no-sandbox", "--disable-gpu", "--disable-background-networking", "--disable-component-update"],
  });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    const ready: number[] = [];
    for (let round = 0; round < 5; round++) {
      await page.goto(address);
      await page.getByRole("button", { name: "Next line" }).waitFor();
      // Ready is when the page answers: a press of a key of its own moves the nib.
      ready.push(
        await page.evaluate(async () => {
          const [navigation] = performance.getEntriesByType("navigation") as PerformanceNavigationTiming[];
          const status = () => document.querySelector("[role=status]")?.textContent;
          const before = status();
          const button = [...document.querySelectorAll("button")].find((each) =>
            each.textContent?.startsWith("Next line"),
          );
          while (status() === before) {
            button?.click();
            await new Promise((resolve) => setTimeout(resolve, 5));
          }
          return performance.now() - (navigation?.responseEnd ?? 0);
        }),
      );
    }
    const frame = await frameTime(page);
    const steps = await page.getByRole("slider").getAttribute("max");
    await page.getByRole("button", { name: "To the end" }).click();
    const back = await pressTimes(page, "Back", 60);
    const next = await pressTimes(page, "Next line", 60);
    const [all, presses] = [percentile(ready, 0.5), percentile([...back, ...next], 0.95)];
    console.log(
      `room with ${steps} steps: ready ${all.toFixed(0)} ms after the recording arrived, next and back ${presses.toFixed(1)} ms (p95); a frame ${frame.toFixed(1)} ms`,
    );
    const against = "frame of the browser";
    return [
      { work: "20 000 steps ready in the browser", against, value: all / frame, unit: "x", atMost: 60 },
      { work: "next and back in 20 000 steps, p95", against, value: presses / frame, unit: "x", atMost: 1 },
    ];
  } finally {
    await browser.close();
    rmSync(folder, { recursive: true, force: true });
  }
}
