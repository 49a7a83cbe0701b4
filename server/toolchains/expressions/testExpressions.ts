import { afterAll, beforeAll, expect, test } from "vitest";
import { type Names, workOut } from "../../../core/expressions/evaluate.ts";
import { findLanguage } from "../../../core/languages/languages.ts";
import { consoleText, limitsSchema } from "../../../core/outcome/outcome.ts";
import type { Value } from "../../../core/trace/trace.ts";
import { sharedToolchains } from "../../testToolchains.ts";
import type { Toolchains } from "../toolchains.ts";
import { chance, type Grammar, generate, type Sort } from "./generate.ts";

/** Expressions of each language that are worked out here and by its own translator, and how many of them a program has. */
const wanted = process.env.BENT_NAIL_LONG ? 6000 : 600;
const together = 300;

/** What is wanted of an answer: its kind and its value, numbers by what they are and not by how they are written. */
type Told = { kind: string; value: string };

/**
 * How expressions are put to a language's own translator: `program` prints a line for each of them, `NUMBER KIND VALUE`, with KIND
 * one of whole, real, truth, text, letter (by its code), or `stopped` where the language stopped. `values` are the names that
 * the program declares, as a recording has them.
 */
export type Spoken = {
  grammar: Grammar;
  sorts: readonly Sort[];
  values: Readonly<Record<string, Value>>;
  program: (expressions: readonly string[]) => string;
  /** True if the program catches what stops an expression, and goes on with the next. */
  goesOn?: true;
  /** What the program prints for a value of ours, where it does not tell two kinds apart. */
  printed?: (told: Told) => Told;
};

function sameValue(ours: Told, theirs: Told): boolean {
  if (ours.kind === "real" && theirs.kind === "real") {
    const [one, other] = [Number(ours.value), Number(theirs.value.replace(/^\+?(-?)[iI]nf\w*$/, "$1Infinity"))];
    return Object.is(one, other) || one === other || (Number.isNaN(one) && Number.isNaN(other));
  }
  return ours.kind === theirs.kind && ours.value === theirs.value;
}

/** Compares generated expressions of a language: what they come to here, and what its own translator makes of them. */
export function testExpressions(id: string, spoken: Spoken): void {
  const { grammar, sorts, values, program, goesOn, printed } = spoken;
  let toolchains: Toolchains;
  beforeAll(() => {
    toolchains = sharedToolchains();
  });
  afterAll(() => toolchains.close());
  const language = findLanguage(id);
  const rules = language?.values;
  const names: Names = {
    value: (name) => {
      const value = values[name];
      return value && rules ? rules.recorded(value) : null;
    },
    call: () => null,
  };

  /** What an expression comes to here; null where it is not worked out, as a wide shift is not. */
  function ours(expression: string): Told | null {
    const worked = language && workOut(language, expression, names);
    if (!worked) throw new Error(`not read: ${expression}`);
    const { value } = worked;
    if (value.kind === "unknown") return value.raised ? { kind: "stopped", value: "" } : null;
    if (value.kind === "truth") return { kind: "truth", value: value.value ? "1" : "0" };
    if (value.kind === "many" || value.kind === "nothing") return null;
    // Lines are told apart by their ends.
    if (value.kind === "text" && /[\r\n]/.test(value.value)) return null;
    return { kind: value.kind, value: String(value.value) };
  }

  test(`${id}: generated expressions come to what the language's own translator makes of them`, async () => {
    const next = chance(20_261_126);
    const differ: string[] = [];
    let compared = 0;
    let [known, generated] = [0, 0];
    for (let round = 0; compared < wanted; round++) {
      expect(round, "too few expressions are worked out").toBeLessThan(200);
      const made = Array.from({ length: together }, (_, at) =>
        generate(grammar, sorts[at % sorts.length] ?? "whole", 1 + (at % 4), next),
      );
      const told = made.map((expression) => ({ expression, mine: ours(expression) }));
      generated += told.length;
      known += told.filter(({ mine }) => mine !== null).length;
      // Where the language stops, only some languages go on with the next.
      const asked = told.filter(({ mine }) => mine !== null && (mine.kind !== "stopped" || goesOn));
      const outcome = await toolchains.find(id)?.run({
        files: [{ name: language?.mainName ?? "", bytes: Buffer.from(program(asked.map((each) => each.expression))) }],
        input: "",
        limits: limitsSchema.parse({ cpuSeconds: 30, wallSeconds: 60, outputBytes: 1 << 20 }),
      });
      const output = outcome ? consoleText(outcome.console, ["out"]) : "";
      const lines = new Map(
        output.split("\n").flatMap((line) => {
          const found = /^\s*(\d+) (\w+) ?(.*)$/.exec(line);
          return found ? [[Number(found[1]), { kind: found[2] ?? "", value: found[3] ?? "" }] as const] : [];
        }),
      );
      const refused = outcome?.diagnostics.find((each) => each.severity === "error");
      const at = refused?.line ?? 0;
      const source = program(asked.map((each) => each.expression)).split("\n")[at - 1];
      if (refused) throw new Error(`${refused.message}: ${source?.trim()}`);
      for (const [number, { expression, mine }] of asked.entries()) {
        const theirs = lines.get(number);
        compared += 1;
        const wrote = theirs?.kind === "stopped" ? { kind: "stopped", value: "" } : theirs;
        if (!mine || !wrote || !sameValue(printed?.(mine) ?? mine, wrote))
          differ.push(`${expression}: ${mine?.kind} ${mine?.value}, theirs ${theirs?.kind} ${theirs?.value}`);
      }
    }
    expect(differ.slice(0, 12)).toEqual([]);
    // What is not worked out is left out above; it must not be most of them.
    expect(known / generated).toBeGreaterThan(0.7);
  }, 600_000);
}
