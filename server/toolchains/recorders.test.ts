import { readdirSync, readFileSync } from "node:fs";
import { extname, join } from "node:path";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import * as z from "zod";
import { findLanguage, languages } from "../../core/languages/languages.ts";
import { consoleText } from "../../core/outcome/outcome.ts";
import { lineTexts } from "../../core/source/lines.ts";
import { buildTable } from "../../core/trace/table.ts";
import type { Trace } from "../../core/trace/trace.ts";
import { productFolder } from "../productFolder.ts";
import { patientLimits, sharedToolchains } from "../testToolchains.ts";
import type { Toolchains } from "./toolchains.ts";

let toolchains: Toolchains;
beforeAll(() => {
  toolchains = sharedToolchains();
});
afterAll(() => toolchains.close());

const folder = join(productFolder, "runners/protocol");
const programs = readdirSync(folder, { withFileTypes: true })
  .filter((entry) => entry.isDirectory())
  .map((entry) => entry.name);
/** `calls`: how many functions of the program's own are entered; `values`: what the named variables hold at the end. */
const expectedSchema = z.object({
  input: z.string().default(""),
  output: z.string(),
  values: z.record(z.string(), z.string()),
  calls: z.number(),
  stops: z.boolean().default(false),
});

/** The program of a folder in a language. */
function programOf(name: string, language: string): { name: string; bytes: Buffer } {
  const { extension } = findLanguage(language) ?? {};
  const file = readdirSync(join(folder, name)).find((each) => extname(each) === extension);
  if (!file) throw new Error(`runners/protocol/${name} has no program in ${language}`);
  return { name: file, bytes: readFileSync(join(folder, name, file)) };
}

/** The last value of each variable, by its name in small letters and without the sign that keeps it from a word. */
function lastValues(trace: Trace): Record<string, string> {
  const { columns, rows } = buildTable(trace);
  const values: Record<string, string> = {};
  for (const row of rows)
    for (const [key, text] of Object.entries(row.cells)) {
      const title = columns
        .find((column) => column.key === key)
        ?.title.toLowerCase()
        .replace(/_$/, "");
      if (title !== undefined && text !== "(gone)") values[title] = text;
    }
  return values;
}

/** What every stream of steps holds to, whatever was recorded. */
function expectForm(trace: Trace, lines: number): void {
  expect(trace.steps.map((step) => step.index)).toEqual(trace.steps.map((_, index) => index));
  expect(trace.steps.filter((step) => step.line < 1 || step.line > lines || step.file !== 0)).toEqual([]);
  const depths = new Map<number, number>();
  const entered = new Set<number>();
  for (const step of trace.steps) {
    // A frame keeps its depth, and is entered at most once.
    expect(depths.get(step.frame) ?? step.depth).toBe(step.depth);
    depths.set(step.frame, step.depth);
    if (step.call === undefined) continue;
    expect(entered.has(step.frame)).toBe(false);
    entered.add(step.frame);
  }
  // What is written belongs to a frame that was there, or to the program.
  const owners = trace.steps.flatMap((step) => step.writes.filter((write) => write.scope === "frame"));
  expect(owners.filter((write) => !depths.has(write.owner))).toEqual([]);
}

describe.each(programs)("%s", (name) => {
  const expected = expectedSchema.parse(JSON.parse(readFileSync(join(folder, name, "expected.json"), "utf8")));
  const recorded = languages.map((language) => language.id).filter((id) => existsIn(name, id));

  test("there is a program in every language that is recorded", () => {
    expect(recorded.sort()).toEqual(toolchains.all.map((toolchain) => toolchain.language).sort());
  });

  test.each(recorded)("%s", async (language) => {
    const toolchain = toolchains.find(language);
    if (!toolchain) throw new Error(language);
    const request = { files: [programOf(name, language)], input: expected.input, limits: patientLimits };
    const [run, trace] = await Promise.all([toolchain.run(request), toolchain.trace(request)]);
    expectForm(trace, lineTexts(request.files[0]?.bytes.toString() ?? "").length);
    expect(consoleText(trace.outcome.console, ["out"])).toBe(expected.output);
    expect(trace.steps.map((step) => step.out ?? "").join("")).toBe(expected.output);
    // The recorded run is the plain one: the same texts in the same order, typed values among them.
    const both = (outcome: typeof run) => consoleText(outcome.console, ["out", "in"]);
    expect(both(trace.outcome)).toBe(both(run));
    expect([run.stoppedBy, trace.outcome.stoppedBy]).toEqual(Array(2).fill(expected.stops ? "fault" : "none"));
    const own = trace.steps.filter((step) => step.call !== undefined && !/main|program|setup|start/i.test(step.call));
    expect(own).toHaveLength(expected.calls);
    expect(lastValues(trace)).toMatchObject(expected.values);
  });
});

function existsIn(name: string, language: string): boolean {
  const { extension } = findLanguage(language) ?? {};
  return readdirSync(join(folder, name)).some((each) => extname(each) === extension);
}
