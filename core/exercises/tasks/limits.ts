import * as z from "zod";
import { comparisonsIn } from "../../assignments/comparisonsIn.ts";
import { findLanguage } from "../../languages/languages.ts";
import type { ShownText } from "../asked.ts";
import type { ExerciseCheck, ExerciseContent } from "../exercise.ts";
import { resultOf as givenBy, inputsOf, linesOfInput, promptsOf, saysResult } from "../inputValues.ts";
import { definePartsKind, sharedMark } from "../partsKind.ts";
import type { MarkContext } from "../taskKind.ts";

const sides = ["below", "at", "above"] as const;
const schema = z.object({
  ...{ key: z.string(), kind: z.literal("limits"), marks: z.number().int().min(2) },
  ...{ name: z.string(), limit: z.number(), step: z.number() },
  /** Which line of the first check's input it is, from 0. */
  place: z.number().int().min(0),
  results: z.object({ below: z.string(), at: z.string(), above: z.string() }),
});
type LimitsTask = z.infer<typeof schema>;
type Side = (typeof sides)[number];

const fieldOf = (side: Side) => `${side} value`;
const resultOf = (side: Side) => `${side} result`;
const written = (number: number) => String(Math.round(number * 1000) / 1000);
const valuesOf = ({ limit, step }: Pick<LimitsTask, "limit" | "step">): Record<Side, number> => ({
  ...{ below: limit - step, at: limit, above: limit + step },
});

/** What the right program gives with a value in place of the one in the first check's input. */
async function runWith({ exercise, run }: MarkContext, place: number, value: string) {
  const [first] = exercise.checks;
  const lines = linesOfInput(first?.input ?? "");
  lines[place] = value;
  const check: ExerciseCheck = {
    ...{ input: `${lines.join("\n")}\n`, expected: null, kind: "boundary", ignorePrompts: false },
    files: first?.files ?? {},
  };
  const program = exercise.mended ?? exercise.program;
  const ran = await run(program, check);
  if ("notRun" in ran) return ran;
  const prompts = promptsOf(ran.outcome, program);
  return { outcome: ran.outcome, prompts, result: givenBy(ran.outcome, prompts) };
}

function isOn(side: Side, text: string, { limit, step }: LimitsTask): boolean {
  if (!/^[+-]?(?:\d+\.?\d*|\.\d+)$/.test(text.trim())) return false;
  const off = Number(text) - limit;
  if (side === "at") return Math.abs(off) < 1e-9;
  // Of a number with decimals anything less than a whole step away is beside the limit.
  const far = step < 1 ? 1 : step;
  return side === "below" ? off < -1e-9 && off >= -far - 1e-9 : off > 1e-9 && off <= far + 1e-9;
}

/** What else is typed in, where there is anything. */
function otherValues({ place, name }: LimitsTask, { checks }: ExerciseContent): ShownText[] {
  const lines = linesOfInput(checks[0]?.input ?? "");
  if (lines.length < 2) return [];
  const text = lines.map((line, at) => (at === place ? `(${name})` : line)).join("\n");
  return [{ says: "The other values that are typed in stay as they are here:", text }];
}

/** Values below, at and above a limit, with what comes out of each. */
export const limits = definePartsKind<LimitsTask>({
  kind: "limits",
  title: "Below, at and above the limit",
  schema,
  needsRun: true,
  make: async (context, { key, marks }) => {
    const { exercise } = context;
    const language = findLanguage(exercise.language);
    const [first] = exercise.checks;
    if (!language || !first || exercise.mended === null)
      return "A limit cannot be asked: the case is not mended yet, or there is no check.";
    const { shape } = inputsOf(exercise);
    for (const { name, number } of comparisonsIn(language, exercise.mended)) {
      const place = shape.findIndex(
        (value) => value.name === name && (value.kind === "whole" || value.kind === "decimal"),
      );
      if (number === null || place < 0 || shape.slice(0, place + 1).some(({ repeat }) => repeat !== "1")) continue;
      const step = shape[place]?.kind === "decimal" && !Number.isInteger(number) ? 0.1 : 1;
      const values = valuesOf({ limit: number, step });
      const results: Partial<Record<Side, string>> = {};
      for (const side of sides) {
        const ran = await runWith(context, place, written(values[side]));
        if (!("notRun" in ran)) results[side] = ran.result;
      }
      const { below, at, above } = results;
      if (below === undefined || at === undefined || above === undefined) continue;
      return {
        key,
        kind: "limits",
        marks: Math.max(2, marks),
        name,
        limit: number,
        step,
        place,
        results: { below, at, above },
      };
    }
    return "A limit cannot be asked: no value that is typed in is compared with a number.";
  },
  parts: (task, exercise) => [
    {
      says: `The program should tell values of ${task.name} apart at a limit. Give one just below it, one at it and one just above it, and what should come out.`,
      shown: otherValues(task, exercise),
      fields: sides.flatMap((side) => [
        {
          name: fieldOf(side),
          says: `${task.name} ${side === "at" ? "at the limit" : `just ${side} it`}`,
          rows: 1,
          code: true,
        },
        { name: resultOf(side), says: "What should come out?", rows: 2, code: true },
      ]),
    },
  ],
  right: (task) =>
    Object.fromEntries(
      sides.flatMap((side) => [
        [fieldOf(side), written(valuesOf(task)[side])],
        [resultOf(side), task.results[side]],
      ]),
    ),
  rule: () =>
    "The marks are shared over three values and three results, in halves, rounded down; each is tried with the program that does what is intended.",
  scheme: (task) => [
    {
      ...{ item: "limit", marks: task.marks },
      words: sides.map((side) => `${side}: ${written(valuesOf(task)[side])} gives ${task.results[side]}`).join("\n"),
    },
  ],
  mark: async (task, texts, context) => {
    let hits = 0;
    const words: string[] = [];
    for (const side of sides) {
      const value = texts[fieldOf(side)] ?? "";
      const result = texts[resultOf(side)] ?? "";
      if (!isOn(side, value, task)) {
        words.push(
          `${value.trim() === "" ? "Nothing" : value.trim()} is not ${side === "at" ? "at" : `just ${side}`} the limit ${task.limit}.`,
        );
        continue;
      }
      hits += 1;
      const ran = await runWith(context, task.place, value.trim());
      if ("notRun" in ran)
        return [
          { item: "limit", possible: task.marks, earned: null, reason: `This waits for the teacher: ${ran.notRun}` },
        ];
      if (saysResult(result, ran.outcome, ran.prompts)) hits += 1;
      else words.push(`With ${value.trim()} this comes out: ${ran.result}`);
    }
    const reason = [`${hits} of 6 are right.`, ...words].join(" ");
    return [sharedMark({ item: "limit", possible: task.marks, reason }, hits, 6)];
  },
});
