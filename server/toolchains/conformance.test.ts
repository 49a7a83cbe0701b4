import { existsSync, readdirSync, readFileSync } from "node:fs";
import { extname, join } from "node:path";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { workOutAt } from "../../core/expressions/atStep.ts";
import { expressionsOn } from "../../core/expressions/expressionsOn.ts";
import { isUnknown } from "../../core/expressions/known.ts";
import { findLanguage } from "../../core/languages/languages.ts";
import { lineTexts } from "../../core/source/lines.ts";
import { decisionsOf } from "../../core/trace/conditions.ts";
import { createObjectStore } from "../../core/trace/objectStore.ts";
import { buildTable, type TraceTable } from "../../core/trace/table.ts";
import type { Trace } from "../../core/trace/trace.ts";
import { isLongRun, todaysShare } from "../../tools/share.ts";
import { usualLimits } from "../judge/run.ts";
import { productFolder } from "../productFolder.ts";
import { sharedToolchains } from "../testToolchains.ts";
import type { Toolchains } from "./toolchains.ts";

let toolchains: Toolchains;
beforeAll(() => {
  toolchains = sharedToolchains();
});
afterAll(() => toolchains.close());

const folder = join(productFolder, "runners/conformance");

/** What a program says of its own rows: behind "#>", "//>", "%>" or "'>" of a line, row after row between " ; ". */
const truth = /(?:#|\/\/|%|')>\s*(.*)$/;

/** Text as it stands in a truth: line ends, tabs and a blank at the end are seen. */
const seen = (text: string) =>
  text.replaceAll("\\", "\\\\").replaceAll("\n", "\\n").replaceAll("\t", "\\t").replace(/ $/, "\\s");

/** The rows of each line, in the order in which they come: cells by column, then what was typed, printed and raised. */
function rowsByLine(table: TraceTable, lines: number): string[] {
  return Array.from({ length: lines }, (_, index) =>
    table.rows
      .filter((row) => row.line === index + 1)
      .map((row) => {
        const cells = table.columns.flatMap(({ key }) =>
          key in row.cells ? [`${key}=${seen(row.cells[key] ?? "")}`] : [],
        );
        const rest = [
          ...(row.input === undefined ? [] : [`in=${seen(row.input.replace(/\n$/, ""))}`]),
          ...(row.output === "" ? [] : [`out=${seen(row.output)}`]),
          ...(row.unseen === undefined ? [] : [`unseen=${seen(row.unseen)}`]),
          ...(row.raised === undefined ? [] : [`raised=${row.raised}`]),
        ];
        return [...cells.sort(), ...rest].join(" & ") || "-";
      })
      .join(" ; "),
  );
}

/** The truth in the same form. */
function truthByLine(text: string): string[] {
  return lineTexts(text).map((line) =>
    (truth.exec(line)?.[1] ?? "")
      .trim()
      .split(" ; ")
      .map((row) => {
        const cells = row.trim().split(" & ");
        const isRest = (cell: string) => /^(?:in|out|unseen|raised)=/.test(cell);
        return [...cells.filter((cell) => !isRest(cell)).sort(), ...cells.filter(isRest)].join(" & ");
      })
      .join(" ; "),
  );
}

/** Lines with what stands beside them, so that a difference shows which line it is. */
const numbered = (rows: readonly string[]) =>
  rows.flatMap((row, index) => (row === "" ? [] : [`${index + 1}: ${row}`]));

const languages = readdirSync(folder, { withFileTypes: true }).filter(
  (entry) => findLanguage(entry.name) !== undefined,
);

type Recorded = { text: string; trace: Trace };
const known = new Map<string, Promise<Recorded>>();

/** A program with its recording, which is made once for all that is held to it. */
function recorded(language: string, name: string): Promise<Recorded> {
  const path = join(folder, language, name);
  const found = known.get(path) ?? record(language, path, name);
  known.set(path, found);
  return found;
}

async function record(language: string, path: string, name: string): Promise<Recorded> {
  const typed = path.slice(0, -extname(path).length).concat(".in");
  const text = readFileSync(path, "utf8");
  const trace = await toolchains.find(language)?.trace({
    files: [{ name, bytes: Buffer.from(text) }],
    input: existsSync(typed) ? readFileSync(typed, "utf8") : "",
    limits: usualLimits,
  });
  if (!trace) throw new Error(`${language} is not recorded`);
  return { text, trace };
}

/** Languages whose recordings are cut off today. */
const limited = new Set(todaysShare(languages, 3).map(({ name }) => name));

/** In all programs of the run: expressions that were asked, and those that gave a variable a value. */
const workedOut = { decided: 0, assigned: 0 };

describe.each(languages.map((entry, place) => [entry.name, place] as const))("%s", (language, place) => {
  const extension = findLanguage(language)?.extension ?? "";
  const all = readdirSync(join(folder, language)).filter((name) => extname(name) === extension);
  // Each day each language has other ones, and each program is there in a sixth of the languages.
  const programs = todaysShare([...all.slice(place % 6), ...all.slice(0, place % 6)], 6);

  test.runIf(limited.has(language))(
    "a limit of steps is that many, and a program of just so many is whole",
    async () => {
      const name = `break_continue${extension}`;
      const bytes = readFileSync(join(folder, language, name));
      const recorded = (steps: number) =>
        toolchains.find(language)?.trace({ files: [{ name, bytes }], input: "", limits: { ...usualLimits, steps } });
      const whole = await recorded(usualLimits.steps);
      const count = whole?.steps.length ?? 0;
      const [seven, just] = await Promise.all([recorded(7), recorded(count)]);
      expect([whole?.cut, just?.steps.length, just?.cut]).toEqual([undefined, count, undefined]);
      expect([seven?.steps.length, seven?.cut]).toEqual([7, expect.stringContaining("The first 7 steps")]);
      expect(seven?.steps).toEqual(whole?.steps.slice(0, 7));
    },
  );

  test("the set is whole", () => {
    expect(all.length).toBeGreaterThanOrEqual(25);
  });

  // There is one office: several of its runs at once wait for their turn, on a slow machine longer than a run may.
  const tested = language === "basic-macro" ? test : test.concurrent;
  tested.each(programs)("%s", async (name) => {
    const { text, trace } = await recorded(language, name);
    const rows = rowsByLine(buildTable(trace), lineTexts(text).length);
    expect(numbered(rows), trace.cut).toEqual(numbered(truthByLine(text)));
  });

  test("what is worked out of recorded values is what the run did: where it went on, and what it gave a variable", async () => {
    const spoken = findLanguage(language);
    if (!spoken) throw new Error(language);
    const wrong: string[] = [];
    let decided = 0;
    let assigned = 0;
    for (const name of programs) {
      const { text, trace } = await recorded(language, name);
      const decisions = decisionsOf(spoken, text, trace);
      const store = createObjectStore();
      for (const [place, step] of trace.steps.entries()) {
        for (const write of step.writes) store.apply(write);
        if (step.file !== 0 || step.raised || step.call !== undefined || step.resumes) continue;
        const [first, ...others] = expressionsOn(spoken, text, step.line);
        if (!first || others.length > 0) continue;
        const worked = workOutAt(spoken, trace, place, first);
        if (!worked || isUnknown(worked.value)) continue;
        if (first.use === "asked") {
          const holds = spoken.values?.isTrue(worked.value);
          const went = decisions.get(place);
          if (typeof holds !== "boolean" || !went) continue;
          decided += 1;
          if (holds !== went.holds)
            wrong.push(`${name}:${step.line} ${first.text} is ${holds}, the run says ${went.holds}`);
        }
        const [write, another] = step.writes.filter((each) => each.path.length === 1 && each.scope !== "object");
        // A whole variable, not a part of one.
        const target = /(?:^|[\s*])(\w+)(?:\s+As\s+\w+)?\s*(?::?=|<-|←)\s*$/.exec(text.slice(0, first.from))?.[1];
        if (first.use !== "assigned" || !write?.value || another) continue;
        if (target?.toLowerCase() !== String(write.path[0]).toLowerCase()) continue;
        assigned += 1;
        const held = store.write(write.value).replace(/^true$/, "1");
        const made = worked.written.replace(/^true$/, "1");
        if (held !== made && Number(held) !== Number(made))
          wrong.push(`${name}:${step.line} ${first.text} comes to ${worked.written}, the run gave ${held}`);
      }
    }
    expect(wrong).toEqual([]);
    // Of a day's sixth of the programs some ask nothing, or give nothing that can be worked out.
    if (isLongRun) expect(decided).toBeGreaterThan(10);
    if (isLongRun) expect(assigned).toBeGreaterThan(20);
    workedOut.decided += decided;
    workedOut.assigned += assigned;
  });
});

test("in today's programs together expressions enough were worked out", () => {
  expect(workedOut.decided).toBeGreaterThan(5);
  expect(workedOut.assigned).toBeGreaterThan(20);
});
