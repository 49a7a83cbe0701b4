import { readFileSync } from "node:fs";
import { join } from "node:path";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { consoleText, limitsSchema, type Outcome } from "../../core/outcome/outcome.ts";
import { productFolder } from "../productFolder.ts";
import { createPythonToolchain } from "../toolchains/python.ts";
import type { Toolchain } from "../toolchains/toolchain.ts";

let toolchain: Toolchain;
beforeAll(() => {
  toolchain = createPythonToolchain();
});
afterAll(() => toolchain.close());

const limits = limitsSchema.parse({});
const files = (name: string) => [
  { name: "program.py", bytes: readFileSync(join(productFolder, "server/sandbox/hostile/python", `${name}.py`)) },
];
const run = (name: string, input = "") => toolchain.run({ files: files(name), input, limits });
const printed = (outcome: Outcome) => consoleText(outcome.console, ["out"]);

/** After every hostile run an innocent one must be right, and find nothing of the former. */
async function nextRunIsRight(): Promise<void> {
  const outcome = await run("look_for_leftovers");
  expect(printed(outcome)).toBe("found [] others 0\n");
  expect(outcome).toMatchObject({ finished: true, stoppedBy: "none" });
}

describe.each([
  ["fork_bomb", (outcome: Outcome) => expect(["time", "memory"]).toContain(outcome.stoppedBy)],
  ["many_small_children", (outcome: Outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["memory", ""])],
  ["many_busy_children", (outcome: Outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["time", ""])],
  ["fill_memory", (outcome: Outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["memory", "begins\n"])],
  [
    "flood_output",
    (outcome: Outcome) => {
      expect(outcome.stoppedBy).toBe("output");
      expect(printed(outcome).length).toBe(limits.outputBytes);
    },
  ],
  [
    "flood_raw_output",
    (outcome: Outcome) => {
      expect(outcome.stoppedBy).toBe("output");
      expect(printed(outcome).length).toBeLessThanOrEqual(limits.outputBytes);
    },
  ],
  ["write_files", (outcome: Outcome) => expect(printed(outcome)).toBe("stopped after True 28\n")],
  ["open_sockets", (outcome: Outcome) => expect(printed(outcome)).toBe("refused\n".repeat(4))],
  [
    "read_host",
    (outcome: Outcome) => {
      expect(printed(outcome)).not.toMatch(/passwd|shadow|\/root|\/home|\/work|\/var|\/sys/);
      expect(printed(outcome)).toContain("users True []");
    },
  ],
  ["kill_parent", (outcome: Outcome) => expect(printed(outcome)).toContain("still here, seeing [1, 2]")],
  ["leave_child", (outcome: Outcome) => expect([printed(outcome), outcome.finished]).toEqual(["left\n", true])],
  ["close_output", (outcome: Outcome) => expect(printed(outcome)).toBe("before\n")],
  ["break_repr", (outcome: Outcome) => expect(printed(outcome)).toBe("fine\n")],
  ["os_exit", (outcome: Outcome) => expect([printed(outcome), outcome.exit.code]).toEqual(["one\n", 3])],
  [
    "control_characters",
    (outcome: Outcome) => expect(printed(outcome)).toBe("\x1b[2J\x07<script>alert(1)</script>\x00\x9b31m\n"),
  ],
  [
    "more_namespaces",
    (outcome: Outcome) => expect(printed(outcome)).toBe("namespace -1 -1\nmount -1\nptrace -1\nroot -1 -1\n"),
  ],
  ["scribble_over_recording", (outcome: Outcome) => expect(outcome.started).toBe(true)],
] as const)("%s", (name, check) => {
  test("ends within its limits, and the next run is right", async () => {
    const outcome = await run(name);
    check(outcome);
    await nextRunIsRight();
  });
});

test.each(["break_repr", "flood_output", "fork_bomb", "scribble_over_recording", "os_exit"])(
  "recording %s breaks nothing",
  async (name) => {
    const trace = await toolchain.trace({ files: files(name), input: "", limits });
    expect(trace.steps.length).toBeGreaterThan(0);
    await nextRunIsRight();
  },
);

test("2 MB of input reach the program", async () => {
  const outcome = await run("huge_input", `${"x".repeat(99)}\n`.repeat(20_000));
  expect(printed(outcome)).toBe("2000000\n");
});

test("runs at the same time do not meet", async () => {
  const outcomes = await Promise.all(
    ["leave_child", "look_for_leftovers", "fill_memory", "look_for_leftovers", "kill_parent", "look_for_leftovers"].map(
      (name) => run(name),
    ),
  );
  for (const at of [1, 3, 5]) expect(outcomes[at] && printed(outcomes[at])).toBe("found [] others 0\n");
});

test.each([
  "fork_bomb",
  "many_busy_children",
  "fill_memory",
  "flood_output",
  "flood_raw_output",
  "write_files",
  "kill_parent",
  "leave_child",
  "close_output",
  "os_exit",
  "scribble_over_recording",
])("among the variants of a search %s spoils no other one's answer, and the next run is right", async (name) => {
  const small = { ...limits, cpuSeconds: 0.5, wallSeconds: 2 };
  const innocent = { main: Buffer.from("print(input())\n"), input: "tide\n" };
  const hostile = { main: files(name)[0]?.bytes ?? new Uint8Array(), input: "" };
  const given = { files: files(name), input: "", limits: small };
  const told = await toolchain.runMany?.(given, [innocent, innocent, hostile, innocent, innocent], 15);
  // What was told before it stands; behind it each one is right or untold, and then runs alone.
  for (const outcome of [told?.[0], told?.[1]]) expect(outcome && printed(outcome)).toBe("tide\n");
  for (const outcome of [told?.[3], told?.[4]]) if (outcome) expect(printed(outcome)).toBe("tide\n");
  await nextRunIsRight();
});
