import { type ChildProcess, spawn } from "node:child_process";
import { once } from "node:events";
import { availableParallelism } from "node:os";
import { afterAll, beforeAll, expect, test } from "vitest";
import { consoleText, limitsSchema } from "../../core/outcome/outcome.ts";
import { createToolchains, type Toolchains } from "../toolchains/toolchains.ts";

let toolchains: Toolchains;
const others: ChildProcess[] = [];
beforeAll(async () => {
  toolchains = createToolchains();
  // The interpreter is warm before the machine is busy.
  await run('print("ready")', 5);
  const busy = "process.stdout.write('busy'); for (;;) {}";
  for (let each = 0; each < 3 * availableParallelism(); each += 1)
    others.push(spawn(process.execPath, ["-e", busy], { stdio: ["ignore", "pipe", "ignore"] }));
  await Promise.all(others.map((other) => other.stdout && once(other.stdout, "data")));
});
afterAll(async () => {
  for (const other of others) other.kill("SIGKILL");
  await toolchains.close();
});

/** Programs give way to everything else on the machine: beside busy processors they get about a tenth of one. */
async function run(text: string, wallSeconds: number, cpuSeconds = 2) {
  const toolchain = toolchains.find("python");
  if (!toolchain) throw new Error("no Python");
  const outcome = await toolchain.run({
    files: [{ name: "deck_load.py", bytes: Buffer.from(text) }],
    input: "",
    limits: limitsSchema.parse({ wallSeconds, cpuSeconds }),
  });
  return [outcome.stoppedBy, consoleText(outcome.console, ["out"])];
}

test("a program that others keep from the processors is not taken for one that hangs", async () => {
  const work = ["import time", "while time.process_time() < 0.6: pass", 'print("Deck 4 loaded")'].join("\n");
  expect(await run(work, 2)).toEqual(["none", "Deck 4 loaded\n"]);
});

test("a program that waits is stopped in time, however busy the machine is", async () => {
  expect(await run('print("waits", flush=True)\nimport time\ntime.sleep(60)', 1)).toEqual(["time", "waits\n"]);
});

test("a program that computes for ever is stopped by what it computes", async () => {
  expect(await run('print("loads", flush=True)\nwhile True: pass', 30, 0.3)).toEqual(["time", "loads\n"]);
});
