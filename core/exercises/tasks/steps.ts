import { diffArrays } from "diff";
import * as z from "zod";
import type { FaultClass } from "../../verdict/verdict.ts";
import type { Choice, ChoicesAnswer, ChoicesCompared, ChoicesView } from "../asked.ts";
import { choicesAnswerSchema } from "../asked.ts";
import { mixed } from "../mixed.ts";
import { defineTaskKind, type ItemMark } from "../taskKind.ts";

const schema = z.object({
  ...{ key: z.string(), kind: z.literal("steps"), marks: z.number().int().min(1) },
  /** The steps in their right order, and the order in which they are shown. */
  steps: z.array(z.string()).min(3),
  shown: z.array(z.number().int().min(0)),
});
type StepsTask = z.infer<typeof schema>;

/** How a fault of each class is found, step by step. */
const ways: Readonly<Record<FaultClass, readonly string[]>> = {
  syntax: [
    "Read the first message: what it says and which line it names.",
    "Look at that line for a rule of the language that is broken.",
    "Look at the lines above it, past blank lines.",
    "Change one thing.",
    "Have it translated again, and read the first message anew.",
  ],
  runtime: [
    "Read the last lines of the message: what happened and on which line.",
    "Find out what the names on that line held when it was reached.",
    "Go back to where the wrong value came from.",
    "Change one thing.",
    "Run it again with the same input, and with another one.",
  ],
  logic: [
    "Say what should come out for one input, and compare it with what does.",
    "Go through the program on paper with that input, line by line.",
    "Find the first value that is not what it should be.",
    "Change one thing.",
    "Run it again with the same input, and with another one.",
  ],
};

const questionsOf = (task: StepsTask): Choice[] =>
  task.shown.map((step) => ({
    ...{ name: `step ${step}`, says: task.steps[step] ?? "" },
    options: task.steps.map((_, at) => ({ value: String(at + 1), words: String(at + 1) })),
  }));
const rightOf = (task: StepsTask): Record<string, string> =>
  Object.fromEntries(task.steps.map((_, at) => [`step ${at}`, String(at + 1)]));

/** Put the steps of finding a fault in order. */
export const steps = defineTaskKind({
  kind: "steps",
  title: "In which order is it found?",
  schema,
  asksFor: "the mended program",
  answerSchema: choicesAnswerSchema,
  usualMarks: () => 0,
  needsRun: false,
  answeredBeforeTrying: false,
  answeredOnProgram: false,
  make: async ({ exercise: { faults, tasks } }, { key, marks }) => {
    const [fault] = faults;
    if (!fault) return "The order of the steps cannot be asked: the case has no verdict yet.";
    if (tasks.some((task) => task.kind === "classify" || task.kind === "runs"))
      return "The order of the steps is not asked beside the kind of error: it would say which kind it is.";
    const own = [...ways[fault.class]];
    return { key, kind: "steps" as const, marks, steps: own, shown: mixed(key, own.length) };
  },
  view: (task): ChoicesView => ({ shown: "", questions: questionsOf(task) }),
  rule: () => "Give each step its number, from 1. What stands in the right order earns, in halves, rounded down.",
  scheme: (task) => [
    { item: "order", marks: task.marks, words: task.steps.map((step, at) => `${at + 1}. ${step}`).join("\n") },
  ],
  key: () => null,
  model: (task): ChoicesAnswer => ({ choices: rightOf(task) }),
  worthless: (task): ChoicesAnswer[] => [
    { choices: {} },
    { choices: Object.fromEntries(task.steps.map((_, at) => [`step ${at}`, String(task.steps.length - at)])) },
  ],
  mark: async (task, { choices }): Promise<ItemMark[]> => {
    const given = task.steps
      .map((_, step) => ({ step, place: Number(choices[`step ${step}`] ?? Number.NaN) }))
      .filter(({ place }) => Number.isInteger(place))
      .sort((one, other) => one.place - other.place);
    const twice = given.some(({ place }, at) => given[at + 1]?.place === place);
    const right = diffArrays(
      given.map(({ step }) => step),
      task.steps.map((_, step) => step),
    )
      .filter((part) => !part.added && !part.removed)
      .reduce((sum, part) => sum + part.value.length, 0);
    // One step alone is in no order.
    const share = twice ? 0 : Math.max(0, right - 1) / (task.steps.length - 1);
    return [
      {
        ...{ item: "order", possible: task.marks, earned: Math.floor(task.marks * share * 2 + 1e-9) / 2 },
        reason: twice
          ? "Two steps have the same number."
          : `${right} of ${task.steps.length} steps are in their order.`,
      },
    ];
  },
  compare: (task, { choices }): ChoicesCompared => ({ questions: questionsOf(task), choices, right: rightOf(task) }),
});
