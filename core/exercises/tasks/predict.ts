import { diffArrays } from "diff";
import { z } from "zod";
import { consoleText } from "../../outcome/outcome.ts";
import { askedProgram } from "../askedProgram.ts";
import { defineTaskKind } from "../taskKind.ts";

export const endings = ["ends by itself", "stops with an error message", "never ends"] as const;
const keySchema = z.object({ output: z.string(), echoed: z.string(), ending: z.enum(endings) });
const schema = z.object({
  key: z.string(),
  kind: z.literal("predict"),
  marks: z.number().int().min(2),
  program: z.enum(["faulty", "mended"]),
  check: z.number().int().min(0),
  answer: keySchema,
});
const answerSchema = z.object({
  output: z.string().max(100_000),
  ending: z.enum(endings).optional(),
  givenUp: z.boolean().optional(),
});

function lines(text: string): string[] {
  const all = text.split(/\r\n|\n|\r/).map((line) => line.trimEnd());
  while (all.at(-1) === "") all.pop();
  return all;
}

/**
 * How many lines two outputs have in common in order, with line ends, blanks at line ends and blank lines at the end
 * left aside.
 */
export function commonLines(one: string, other: string): { right: number; of: number } {
  const [first, second] = [lines(one), lines(other)];
  const right = diffArrays(first, second)
    .filter((part) => !part.added && !part.removed)
    .reduce((sum, part) => sum + part.value.length, 0);
  return { right, of: Math.max(first.length, second.length) };
}

export type PredictAnswer = z.infer<typeof answerSchema>;

/** `text`: the program that is meant, where it is not the one on the page. */
export type PredictView = { text: string | null; input: string; endings: readonly string[] };

/** Say what the program prints for a given input, before it is run, and how the run ends. */
export const predict = defineTaskKind({
  kind: "predict",
  title: "What does it print?",
  schema,
  answerSchema,
  usualMarks: () => 3,
  needsRun: true,
  answeredBeforeTrying: true,
  answeredOnProgram: false,
  make: async ({ exercise, run }, given) => {
    const asked = askedProgram(exercise);
    if (typeof asked === "string") return asked;
    const [check] = exercise.checks;
    if (!check) return "The output cannot be asked: there is no check.";
    const ran = await run(asked.text, check);
    if ("notRun" in ran) return `The output cannot be asked: ${ran.notRun}`;
    const { console, stoppedBy } = ran.outcome;
    if (stoppedBy === "time" || stoppedBy === "output") return "The output is not asked: this run does not end.";
    const answer = {
      output: consoleText(console, ["out"]),
      echoed: consoleText(console, ["out", "in"]),
      ending: endings[stoppedBy === "none" ? 0 : 1],
    };
    return {
      ...{ key: given.key, kind: "predict" as const, marks: Math.max(2, given.marks) },
      ...{ program: asked.program, check: 0, answer },
    };
  },
  key: () => null,
  compare: (_, answer) => answer,
  view: (task, exercise): PredictView => ({
    text: task.program === "mended" ? exercise.mended : null,
    input: exercise.checks[task.check]?.input ?? "",
    endings,
  }),
  rule: (task) =>
    `How the run ends earns 1. The output earns ${task.marks - 1}, by the share of its lines that are right and in order. Typed values may be written or left out. An error message itself need not be written.`,
  scheme: (task) => [
    { item: "output", marks: task.marks - 1, words: task.answer.output || "(nothing)" },
    { item: "ending", marks: 1, words: task.answer.ending },
  ],
  mark: async (task, answer) => {
    const possible = task.marks - 1;
    const [plain, echoed] = [
      commonLines(answer.output, task.answer.output),
      commonLines(answer.output, task.answer.echoed),
    ];
    const best = echoed.right > plain.right ? echoed : plain;
    const share = best.of === 0 ? 1 : best.right / best.of;
    return [
      {
        item: "output",
        earned: Math.floor(possible * share * 2) / 2,
        possible,
        reason: best.of === 0 ? "Nothing is printed, as you said." : `${best.right} of ${best.of} lines are right.`,
      },
      {
        item: "ending",
        earned: answer.ending === task.answer.ending ? 1 : 0,
        possible: 1,
        reason: answer.ending === task.answer.ending ? "The ending is right." : `It ${task.answer.ending}.`,
      },
    ];
  },
});
