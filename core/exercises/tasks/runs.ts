import * as z from "zod";
import { refusedSymptom } from "../../verdict/verdict.ts";
import { type ChoicesAnswer, type ChoicesCompared, type ChoicesView, choicesAnswerSchema, yesOrNo } from "../asked.ts";
import type { ExerciseContent } from "../exercise.ts";
import { defineTaskKind, type ItemMark } from "../taskKind.ts";

const schema = z.object({ key: z.string(), kind: z.literal("runs"), marks: z.number().int().min(2) });

/** What the program that is handed out does, by its fault that shows first. */
function rightOf({ faults }: ExerciseContent): Record<string, string> {
  const [fault] = faults;
  if (!fault) return { starts: "yes", class: "none" };
  const refused = fault.symptom === refusedSymptom || (fault.symptom === "" && fault.class === "syntax");
  return {
    starts: refused ? "no" : "yes",
    class: fault.class,
  };
}

const view: ChoicesView = {
  shown: "",
  questions: [
    { name: "starts", says: "Does the program start?", options: yesOrNo },
    {
      ...{ name: "class", says: "Which kind of error is in it?" },
      options: (["syntax", "runtime", "logic"] as const).map((value) => ({ value, words: `${value} error` })),
    },
  ],
};

/** Say whether the program starts, and of which class its error is. */
export const runs = defineTaskKind({
  kind: "runs",
  title: "Does it run?",
  schema,
  answerSchema: choicesAnswerSchema,
  usualMarks: () => 0,
  needsRun: false,
  answeredBeforeTrying: true,
  answeredOnProgram: false,
  make: async ({ exercise }, { key, marks }) =>
    exercise.faults.length === 0
      ? "Whether it runs cannot be asked: the case has no verdict yet."
      : { key, kind: "runs", marks: Math.max(2, marks) },
  view: () => view,
  rule: (task) => `Whether it starts earns 1, the kind of error ${task.marks - 1}.`,
  scheme: (task, exercise) => {
    const right = rightOf(exercise);
    return [
      { item: "start", marks: 1, words: right.starts === "yes" ? "it starts" : "it does not start" },
      { item: "kind", marks: task.marks - 1, words: `${right.class} error` },
    ];
  },
  key: () => null,
  model: (_, exercise): ChoicesAnswer => ({ choices: rightOf(exercise) }),
  worthless: (): ChoicesAnswer[] => [{ choices: {} }],
  mark: async (task, { choices }, { exercise }): Promise<ItemMark[]> => {
    const right = rightOf(exercise);
    const starts = choices.starts === right.starts;
    const isClass = choices.class === right.class;
    return [
      {
        ...{ item: "start", possible: 1, earned: starts ? 1 : 0 },
        reason: starts ? "That is so." : right.starts === "yes" ? "It starts." : "It does not start.",
      },
      {
        ...{ item: "kind", possible: task.marks - 1, earned: isClass ? task.marks - 1 : 0 },
        reason: isClass ? "The kind is right." : `It is a ${right.class} error.`,
      },
    ];
  },
  compare: (_, { choices }, exercise): ChoicesCompared => ({
    ...{ questions: view.questions, choices, right: rightOf(exercise) },
  }),
});
