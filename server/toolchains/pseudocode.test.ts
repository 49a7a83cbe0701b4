import fc from "fast-check";
import { afterAll, beforeAll, expect, test } from "vitest";
import { parseProgram } from "../../core/interpreters/pseudocode/parser.ts";
import { programs } from "../../core/interpreters/pseudocode/testPrograms.ts";
import { toPython } from "../../core/interpreters/pseudocode/toPython.ts";
import { consoleText, limitsSchema, type RunRequest } from "../../core/outcome/outcome.ts";
import { sharedToolchains } from "../testToolchains.ts";
import type { Toolchains } from "./toolchains.ts";

let toolchains: Toolchains;
beforeAll(() => {
  toolchains = sharedToolchains();
});
afterAll(() => toolchains.close());

const pseudocode = () => {
  const found = toolchains.find("pseudocode");
  if (!found) throw new Error("no pseudocode");
  return found;
};
const limits = limitsSchema.parse({});
const request = (program: string, more: Partial<RunRequest> = {}): RunRequest => ({
  ...{ files: [{ name: "ferry.pseudo", bytes: Buffer.from(program) }], input: "", limits },
  ...more,
});
const printed = (outcome: { console: Parameters<typeof consoleText>[0] }) => consoleText(outcome.console, ["out"]);

test("programs are checked, run and recorded, with what lies beside them", async () => {
  const program =
    'OPENFILE "tides.txt" FOR READ\nREADFILE "tides.txt", tide\nOUTPUT "Tide ", tide\nINPUT cars\nOUTPUT cars * 2\n';
  const files = [...request(program).files, { name: "tides.txt", bytes: Buffer.from("4\n") }];
  const run = await pseudocode().run(request(program, { files, input: "5\n" }));
  expect(run).toMatchObject({ finished: true, stoppedBy: "none", inputRanOut: false });
  expect(printed(run)).toBe("Tide 4\n10\n");
  expect((await pseudocode().check(request("IF 1 = 1\n"))).diagnostics[0]?.line).toBe(1);
  const trace = await pseudocode().trace(request(program, { files, input: "5\n" }));
  expect(trace.steps.map(({ line }) => line)).toEqual([1, 2, 3, 4, 5]);
  expect(trace.files).toEqual(["ferry.pseudo"]);
});

test("what never ends is stopped on time, what takes too much memory, and what prints without end; the next run is well", async () => {
  const short = { ...limits, cpuSeconds: 0.5, wallSeconds: 1 };
  const ends = async (program: string) => (await pseudocode().run(request(program, { limits: short }))).stoppedBy;
  expect(await ends("WHILE TRUE DO\nx ← 1\nENDWHILE")).toBe("time");
  expect(await ends('WHILE TRUE DO\nOUTPUT "again and again and again"\nENDWHILE')).toBe("output");
  // Each run has its own bound of memory, whatever the one before had.
  const small = { ...limits, memoryBytes: 64 << 20, cpuSeconds: 20, wallSeconds: 20 };
  const memory = ["DECLARE a : ARRAY[1:1000000] OF STRING", 't ← "Tern"', "FOR i ← 1 TO 1000000", 't ← t & "Tern"'];
  const much = [...memory, "a[i] ← t & i", "NEXT i"].join("\n");
  expect((await pseudocode().run(request(much, { limits: small }))).stoppedBy).toBe("memory");
  expect(printed(await pseudocode().run(request("OUTPUT 1")))).toBe("1\n");
});

test("variants run one after the other, each with its input", async () => {
  const many = pseudocode().runMany;
  const variants = ["INPUT a\nOUTPUT a + 1", "INPUT a\nOUTPUT a / 0"].map((main) => ({
    main: Buffer.from(main),
    input: "4\n",
  }));
  const outcomes = await many?.(request("OUTPUT 1"), variants, 10);
  expect(outcomes?.map((outcome) => outcome?.stoppedBy)).toEqual(["none", "fault"]);
});

test("programs by chance print the same in Python", async () => {
  const python = toolchains.find("python");
  if (!(await python?.available())?.ready) return;
  const count = process.env.BENT_NAIL_LONG ? 1000 : 100;
  const all = fc.sample(programs, {
    numRuns: count,
    seed: Number(process.env.BENT_NAIL_SEED ?? Math.floor(Date.now() / 86_400_000)),
  });
  const translated = all.map((program) => {
    const python = toPython(parseProgram(program).tree);
    if ("untold" in python) throw new Error(`${python.untold}\n${program}`);
    return python.python;
  });
  for (let from = 0; from < all.length; from += 50) {
    const variants = translated.slice(from, from + 50).map((text) => ({ main: Buffer.from(text), input: "" }));
    const base: RunRequest = { files: [{ name: "main.py", bytes: Buffer.from("") }], input: "", limits };
    const outcomes = (await python?.runMany?.(base, variants, 60)) ?? [];
    for (const [at, outcome] of outcomes.entries()) {
      const program = all[from + at] ?? "";
      const own = await pseudocode().run(request(program));
      if (!outcome) continue;
      expect(printed(outcome), `${program}\n--- in Python\n${translated[from + at]}`).toBe(printed(own));
    }
    expect(outcomes.filter((outcome) => outcome !== null).length).toBeGreaterThan(variants.length / 2);
  }
});
