import { execFileSync } from "node:child_process";
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { basename, join } from "node:path";
import { afterAll, beforeAll, expect, test } from "vitest";
import * as z from "zod";
import { buildTable } from "../../core/trace/table.ts";
import type { Trace } from "../../core/trace/trace.ts";
import { usualLimits } from "../judge/run.ts";
import { productFolder } from "../productFolder.ts";
import { sharedToolchains } from "../testToolchains.ts";
import type { Toolchains } from "./toolchains.ts";

let toolchains: Toolchains;
beforeAll(() => {
  toolchains = sharedToolchains();
});
afterAll(() => toolchains.close());

const conformance = join(productFolder, "runners/conformance");
const texts = z.record(z.string(), z.string());
const stepsSchema = z.array(
  z.object({ line: z.number(), kind: z.string(), after: z.object({ own: texts, all: texts }).nullable() }),
);

/** Programs of a language: our own, and those in folders that the variable names, for looking at more of them. */
const programsOf = (language: string, extension: string) =>
  [join(conformance, language), ...(process.env.BENT_NAIL_STEP_THROUGH ?? "").split(":")]
    .filter((folder) => folder !== "" && existsSync(folder))
    .flatMap((folder) =>
      readdirSync(folder, { recursive: true, encoding: "utf8" })
        .filter((name) => name.endsWith(extension))
        .map((name) => join(folder, name)),
    );
const isLong = process.env.BENT_NAIL_LONG === "1";

/** Does some work in a folder of its own, where what a program writes goes away with it. */
function inFolder<Result>(work: (folder: string) => Result): Result {
  const folder = mkdtempSync(join(tmpdir(), "bent-nail-"));
  try {
    return work(folder);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** What is typed into a program: what lies beside it. */
function inputOf(path: string): string {
  const typed = path.replace(/\.\w+$/, ".in");
  return existsSync(typed) ? readFileSync(typed, "utf8") : "";
}

async function record(language: string, path: string): Promise<Trace> {
  const files = [{ name: basename(path), bytes: readFileSync(path) }];
  const trace = await toolchains.find(language)?.trace({ files, input: inputOf(path), limits: usualLimits });
  if (!trace) throw new Error(`${language} is not recorded`);
  return trace;
}

/** What the table says that a step's own names and the program's hold after it: the last cell of each. */
function statesOf(trace: Trace): Array<{ line: number; own: Map<string, string>; all: Map<string, string> }> {
  const { columns, rows } = buildTable(trace);
  const all = new Map<string, string>();
  const byFrame = new Map<number, Map<string, string>>();
  return rows.map((row) => {
    const frame = trace.steps[row.step]?.frame ?? 0;
    const own = byFrame.get(frame) ?? new Map<string, string>();
    byFrame.set(frame, own);
    for (const { key, title, scope } of columns) {
      const text = row.cells[key];
      if (text !== undefined) (scope === "global" ? all : own).set(title, text);
    }
    return { line: row.line, own: new Map(own), all: new Map(all) };
  });
}

test.runIf(isLong).concurrent.each(programsOf("python", ".py"))("%s beside a stepper of Python", async (path) => {
  const input = inputOf(path);
  const told = inFolder((cwd) =>
    execFileSync("/usr/bin/python3", [join(conformance, "steppers/stepper.py"), path], {
      ...{ cwd, input, encoding: "utf8" as const, maxBuffer: 1 << 28, timeout: 60_000 },
    }),
  );
  const stepped = stepsSchema.parse(JSON.parse(told));
  const trace = await record("python", path);
  const states = statesOf(trace);
  const compared = Math.min(states.length, trace.cut ? states.length - 1 : stepped.length);
  expect(states.slice(0, compared).map((state) => state.line)).toEqual(
    stepped.slice(0, compared).map((step) => step.line),
  );
  if (!trace.cut) expect(states.length).toBe(stepped.length);
  const differs = stepped.slice(0, compared).flatMap((step, index) => {
    const state = states[index];
    if (!state || !step.after) return [];
    const look = (wanted: Record<string, string>, ours: Map<string, string>) =>
      Object.entries(wanted).filter(([name, text]) => ours.get(name) !== text && text.length < 180);
    return [...look(step.after.own, state.own), ...look(step.after.all, state.all)].map(
      ([name, text]) =>
        `step ${index}, line ${step.line}: ${name} is ${text}, here ${state.own.get(name) ?? state.all.get(name)}`,
    );
  });
  expect(differs).toEqual([]);
});

const nativeSchema = z.array(
  z.object({ line: z.number(), function: z.string(), before: z.object({ own: texts, all: texts }) }),
);

/** The steps of a C program as gdb makes them, whole numbers and arrays of them before each. */
function stepC(path: string) {
  const told = inFolder((cwd) => {
    const program = join(cwd, "program");
    execFileSync("/usr/bin/gcc", ["-g", "-O0", "-std=gnu17", "-w", "-o", program, path, "-lm"]);
    writeFileSync(join(cwd, "typed"), inputOf(path));
    return execFileSync(
      "/usr/bin/gdb",
      ["-nx", "-batch", "-x", join(conformance, "steppers/stepper_gdb.py"), program],
      {
        env: { ...process.env, BENT_NAIL_INPUT: join(cwd, "typed"), BENT_NAIL_SOURCE: basename(path) },
        ...{ cwd, encoding: "utf8" as const, maxBuffer: 1 << 28, timeout: 120_000 },
        stdio: ["ignore", "pipe", "ignore"],
      },
    );
  });
  return nativeSchema.parse(JSON.parse(/^STEPS (.*)$/m.exec(told)?.[1] ?? "[]"));
}

test.runIf(isLong && existsSync("/usr/bin/gdb")).each(programsOf("c", ".c"))("%s beside gdb", async (path) => {
  const trace = await record("c", path);
  const lines = readFileSync(path, "utf8").split("\n");
  // gdb stops at braces, and neither at a function's header nor between two calls of one line.
  const stepped = stepC(path).filter((step) => !/^\s*[{}]+;?\s*(?:\/\/.*)?$/.test(lines[step.line - 1] ?? ""));
  expect(stepped.length).toBeGreaterThan(0);
  const states = statesOf(trace);
  const differs: string[] = [];
  let at = 0;
  for (const step of stepped) {
    if (trace.cut && at >= states.length - 1) break;
    let next = at;
    while (next < states.length && (states[next]?.line !== step.line || trace.steps[next]?.call !== undefined))
      next += 1;
    const passed = trace.steps.slice(at, next).filter((each) => each.call === undefined && !each.resumes);
    const sameLine = passed.filter((each) => each.line !== trace.steps[at - 1]?.line);
    // Where gdb came back from the library into the same line, it is there once more.
    if ((next === states.length || sameLine.length > 0) && states[at - 1]?.line === step.line) continue;
    if (next === states.length || sameLine.length > 0) {
      differs.push(
        `gdb is on line ${step.line}, here lines ${states.slice(at, at + 3).map((state) => state.line)} follow`,
      );
      break;
    }
    at = next + 1;
    if (trace.steps[next]?.resumes) continue;
    const frame = trace.steps[next]?.frame;
    const before = trace.steps.slice(0, next).findLastIndex((each) => each.frame === frame);
    const own = states[before]?.own ?? new Map<string, string>();
    const all = states[next - 1]?.all ?? new Map<string, string>();
    for (const [name, text] of [...Object.entries(step.before.own), ...Object.entries(step.before.all)]) {
      const ours = own.get(name) ?? all.get(name);
      // What was never set holds anything at all there, and nothing here; of long arrays the beginning is written here.
      if (ours !== undefined && !/\?| in all/.test(ours) && !ours.startsWith("→") && ours !== text)
        differs.push(`line ${step.line}: ${name} is ${text}, here ${ours}`);
    }
  }
  expect(differs).toEqual([]);
});
