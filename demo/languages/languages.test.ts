import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { findLanguage } from "../../core/languages/languages.ts";
import { limitsSchema } from "../../core/outcome/outcome.ts";
import { buildTable } from "../../core/trace/table.ts";
import { judgeProgram } from "../../server/judge/judge.ts";
import { sharedToolchains } from "../../server/testToolchains.ts";
import type { Toolchains } from "../../server/toolchains/toolchains.ts";
import { todaysShare } from "../../tools/share.ts";
import { filesOf } from "../cases.ts";
import { languageCases } from "./languages.ts";

let toolchains: Toolchains;
beforeAll(() => {
  toolchains = sharedToolchains();
});
afterAll(() => toolchains.close());

/**
 * What each case must show: class, reported line, kind of a refusal, a lead, and for programs that run the values of
 * one column in order.
 */
type Shown = {
  class: "syntax" | "runtime" | "logic";
  line: number | null;
  kind?: "form" | "meaning";
  error?: string;
  lead?: number;
  column?: [name: string, values: string[]];
  found?: number;
};
const shown: Record<string, Shown> = {
  "Boarding.java": { class: "syntax", line: 8, kind: "form", lead: 3 },
  "Tides.java": {
    class: "runtime",
    line: 6,
    error: "ArrayIndexOutOfBoundsException",
    column: ["main.total", ["0.0", "1.2", "3.5999999999999996", "6.699999999999999"]],
  },
  "Fare.java": { class: "logic", line: null, lead: 6, column: ["fare.full", ["12"]] },
  "Deck.java": { class: "syntax", line: 4, kind: "form" },
  "places.c": { class: "syntax", line: 8, kind: "form", lead: 6 },
  "boats.c": { class: "runtime", line: null, error: "SIGSEGV", found: 13, column: ["main.letters", ["0", "4"]] },
  "crossing.c": { class: "logic", line: null, lead: 9, column: ["main.minutes", ["0", "5", "10", "15"]] },
  "half.c": { class: "syntax", line: 12, kind: "form" },
  "Boarding.cs": { class: "syntax", line: 10, kind: "form", lead: 8 },
  "Share.cs": { class: "runtime", line: 7, error: "DivideByZeroException", column: ["Each.decks", ["0"]] },
  "Highest.cs": { class: "logic", line: null, lead: 8, column: ["Main.height", ["-1.2", "-0.4", "-2.1"]] },
  "Names.cs": { class: "syntax", line: 12, kind: "meaning" },
  "boarding.pas": { class: "syntax", line: 8, kind: "form", lead: 6 },
  "share.pas": { class: "runtime", line: 7, error: "Runtime error 200", column: ["Each.decks", ["0"]] },
  "total.pas": { class: "logic", line: null, lead: 12, column: ["total", ["0", "4", "16", "23"]] },
  "crossing.pas": { class: "syntax", line: 5, kind: "form" },
  "high_tides.m": { class: "syntax", line: 8, kind: "form" },
  "passengers.m": { class: "runtime", line: 3, column: ["i", ["1", "2", "3"]] },
  "child_fare.m": { class: "logic", line: null, lead: 3, column: ["fare", ["12"]] },
  "half_fares.m": { class: "syntax", line: 2, kind: "form" },
  "deck_metres.bas": { class: "syntax", line: 9, kind: "form", lead: 7 },
  "raise_fares.bas": { class: "runtime", line: 7, error: "BASIC runtime error", column: ["D1", ['"New fare"']] },
  "count_cars.bas": { class: "logic", line: null, lead: 9, column: ["CountCars.total", ["4", "10", "13"]] },
  "half_fares.bas": { class: "syntax", line: 6, kind: "meaning", error: "Compile error" },
  "tide_gauge.sketch": { class: "logic", line: null, lead: 3, column: ["level", ["40.0"]] },
  "piles.sketch": { class: "logic", line: null, lead: 2, column: ["start.pile", ["10"]] },
  "deck_places.sketch": {
    ...{ class: "logic", line: null, lead: 20 },
    column: ["cars", ["0", "1", "2", "3", "4", "5", "6", "7"]],
  },
  "buoys.sketch": { class: "syntax", line: 7, kind: "form" },
  "Fares.vb": {
    class: "runtime",
    line: 8,
    error: "InvalidCastException",
    column: ["btnWork_Click.adults", ["0", "3"]],
  },
  "Cars.vb": { class: "logic", line: null, lead: 8 },
  "Tides.vb": { class: "syntax", line: 7, kind: "form" },
  "Boats.vb": {
    ...{ class: "runtime", line: 8, error: "IndexOutOfRangeException" },
    column: ["Main.place", ["1", "2", "3"]],
  },
  "Share.vb": { class: "syntax", line: 6, kind: "meaning" },
  "boarding.pseudo": { class: "syntax", line: 4, kind: "form", error: "ENDIF missing" },
  "boats.pseudo": { class: "runtime", line: 6, error: "position outside", lead: 5, column: ["place", ["0"]] },
  "young_fare.pseudo": { class: "logic", line: null, lead: 3, column: ["fare", ["12"]] },
  "share.pseudo": { class: "runtime", line: 2, error: "division by zero", column: ["each_deck.decks", ["0"]] },
  "take_on.pseudo": { class: "logic", line: null, column: ["take_on.load", ["0", "12", "0", "7", "0", "9"]] },
  "high_tides.pseudo": { class: "syntax", line: 3, kind: "form", error: "THEN missing" },
};

const limits = limitsSchema.parse({});

describe.each(todaysShare(languageCases, 6).map((demo) => [demo.name, demo] as const))("%s", (name, demo) => {
  const language = findLanguage(demo.language ?? "python");
  const request = (text: string) => ({ files: filesOf(demo, text), input: demo.input });

  test("class, line and leads by a real run", async () => {
    if (!language) throw new Error("unknown language");
    const { judgement, outcome } = await judgeProgram(toolchains, {
      language,
      policies: { endlessClass: "logic" },
      expected: demo.expected,
      ...request(demo.program),
    });
    const wanted = shown[name];
    if (!wanted) throw new Error("nothing is said of this case");
    expect([judgement.class, judgement.reportedLine], judgement.reasons.join(" ")).toEqual([wanted.class, wanted.line]);
    const failing = { syntax: 0, runtime: 1, logic: 2 }[wanted.class];
    expect(judgement.gates.map((gate) => gate.passes)).toEqual(
      [0, 1, 2].map((gate) => (gate < failing ? true : gate === failing ? false : null)),
    );
    if (wanted.kind) expect(judgement.kind).toBe(wanted.kind);
    if (wanted.error) expect(judgement.diagnostic?.errorName).toBe(wanted.error);
    if (wanted.lead) expect(judgement.leads.map((lead) => lead.line)).toContain(wanted.lead);
    if (wanted.found)
      expect(
        outcome?.found?.frames.at(-1)?.own === true
          ? outcome.found.frames.at(-1)?.line
          : outcome?.found?.frames.findLast((frame) => frame.own)?.line,
      ).toBe(wanted.found);
  });

  test.runIf(shown[name]?.column)("the recorded values", async () => {
    const trace = await toolchains.find(demo.language ?? "")?.trace({ ...request(demo.program), limits });
    if (!trace) throw new Error("not recorded");
    const [column, values] = shown[name]?.column ?? ["", []];
    const cells = buildTable(trace, { rows: "line" }).rows.flatMap((row) =>
      row.cells[column] === undefined ? [] : [row.cells[column]],
    );
    expect(cells).toEqual(values);
  });

  test.runIf(demo.mended.length > 0)(
    "every mending reaches the next fault, the last one the intended output",
    async () => {
      if (!language) throw new Error("unknown language");
      const judged = await Promise.all(
        demo.mended.map(
          async (text) =>
            (
              await judgeProgram(toolchains, {
                language,
                policies: { endlessClass: "logic" },
                expected: demo.expected,
                ...request(text),
              })
            ).judgement,
        ),
      );
      expect(judged.at(-1)?.class, judged.at(-1)?.reasons.join(" ")).toBeNull();
      for (const judgement of judged.slice(0, -1)) expect(judgement.class).not.toBeNull();
    },
  );
});
