import * as z from "zod";
import { findLanguage } from "../../languages/languages.ts";
import { consolePieceSchema, consoleText } from "../../outcome/outcome.ts";
import { shownRun } from "../askedInAll.ts";
import { askedProgram } from "../askedProgram.ts";
import type { ExerciseContent } from "../exercise.ts";
import { markOutput, type OutputParts, outputParts } from "../outputMarking.ts";
import { defineTaskKind, type TaskRule } from "../taskKind.ts";

export const endings = ["ends by itself", "stops with an error message", "never ends"] as const;
const keySchema = z.object({
  ...{ output: z.string(), echoed: z.string(), ending: z.enum(endings) },
  /** The console itself; absent in tasks of before it was kept. */
  console: z.array(consolePieceSchema).optional(),
});
const schema = z.object({
  key: z.string(),
  kind: z.literal("predict"),
  marks: z.number().int().min(2),
  program: z.enum(["faulty", "mended"]),
  check: z.number().int().min(0),
  answer: keySchema,
  /** Halves that other words beside right values cost, and whether the right values in another order earn half. */
  wordsHalves: z.number().int().min(0).optional(),
  orderCounts: z.boolean().optional(),
});
const answerSchema = z.object({
  output: z.string().max(100_000),
  ending: z.enum(endings).optional(),
  givenUp: z.boolean().optional(),
});

export type PredictAnswer = z.infer<typeof answerSchema>;

/** `text`: the program that is meant, where it is not the one on the page. */
export type PredictView = { text: string | null; input: string; endings: readonly string[] };

/** What the run wrote, taken apart: values, words, prompts. */
function partsOf(task: z.infer<typeof schema>, exercise: ExerciseContent): OutputParts {
  const program = (task.program === "mended" ? exercise.mended : null) ?? exercise.program;
  const console = task.answer.console ?? [{ kind: "out" as const, text: task.answer.output }];
  return outputParts(findLanguage(exercise.language), program, console);
}

/** Halves that other words beside right values cost, once. */
const wordsHalvesOf = (task: z.output<typeof schema>) => task.wordsHalves ?? 1;

const rules: ReadonlyArray<TaskRule<z.output<typeof schema>>> = [
  {
    ...{
      name: "words",
      says: "Halves that other words beside right values cost",
      to: (task) => (task.marks - 1) * 2,
    },
    ...{ read: wordsHalvesOf, write: (task, wordsHalves) => ({ ...task, wordsHalves }) },
  },
  {
    ...{ name: "order", says: "The right values in another order earn half", isYesOrNo: true, to: () => 1 },
    ...{ read: (task) => Number(task.orderCounts !== false) },
    write: (task, value) => ({ ...task, orderCounts: value === 1 }),
  },
];

/** Say what the program prints for a given input, before it is run, and how the run ends. */
export const predict = defineTaskKind({
  kind: "predict",
  title: "What does it print?",
  schema,
  asksFor: "what comes out",
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
    if (ran.outcome.drawing && !console.some((piece) => piece.kind === "out" && piece.text.trim() !== ""))
      return "The output is not asked: this run draws and prints nothing.";
    const answer = {
      output: consoleText(console, ["out"]),
      echoed: consoleText(console, ["out", "in"]),
      ending: endings[stoppedBy === "none" ? 0 : 1],
      console: [...console],
    };
    return {
      ...{ key: given.key, kind: "predict" as const, marks: Math.max(2, given.marks) },
      ...{ program: asked.program, check: 0, answer },
    };
  },
  key: () => null,
  model: ({ answer }): PredictAnswer => ({ output: answer.output, ending: answer.ending }),
  worthless: (): PredictAnswer[] => [{ output: "" }],
  compare: (_, answer) => answer,
  view: (task, exercise): PredictView => ({
    text: task.program === "mended" ? exercise.mended : null,
    input: exercise.checks[task.check]?.input ?? "",
    endings,
  }),
  asks: (task, exercise) => ({
    parts: [
      {
        says: "",
        shown: shownRun(task.program === "mended" ? exercise.mended : null, exercise.checks[task.check]?.input ?? ""),
        fields: [
          { name: "output", says: "What does it print?", rows: 5, code: true },
          {
            ...{ name: "ending", says: "How does the run end?", rows: 1 },
            options: endings.map((value) => ({ value, words: `it ${value}` })),
          },
        ],
      },
    ],
    right: { output: task.answer.output, ...(task.answer.ending ? { ending: task.answer.ending } : {}) },
  }),
  rules,
  rule: (task) =>
    `How the run ends earns 1. The output earns ${task.marks - 1}, by the share of its values that are right and in order;${task.orderCounts === false ? "" : " the right values in another order earn half,"} each value too many takes half of one away. Other words beside right values cost ${["nothing", "a half, once", "1, once"][wordsHalvesOf(task)] ?? `${wordsHalvesOf(task) / 2}, once`}. What asks for input, typed values and an error message may be written or left out.`,
  scheme: (task) => [
    { item: "output", marks: task.marks - 1, words: task.answer.output || "(nothing)" },
    { item: "ending", marks: 1, words: task.answer.ending },
  ],
  mark: async (task, answer, { exercise }) => {
    const possible = task.marks - 1;
    if (answer.output.trim() === "" && answer.ending === undefined)
      return [
        { item: "output", earned: 0, possible, reason: "No answer." },
        { item: "ending", earned: 0, possible: 1, reason: "No answer." },
      ];
    const message = exercise.faults[0]?.message ?? "";
    const marked = markOutput(partsOf(task, exercise), answer.output, message, task.orderCounts !== false);
    const halves = Math.floor(possible * marked.share * 2 + 1e-9) / 2;
    const cost = marked.wordsDiffer ? wordsHalvesOf(task) / 2 : 0;
    return [
      {
        item: "output",
        earned: Math.max(0, halves - cost),
        possible,
        reason:
          cost > 0 ? `${marked.reason.slice(0, -1)}, which costs ${cost === 0.5 ? "a half" : cost}.` : marked.reason,
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
