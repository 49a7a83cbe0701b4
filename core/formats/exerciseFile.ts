import * as z from "zod";
import { exerciseContentSchema } from "../exercises/exercise.ts";
import { taskKinds } from "../exercises/taskKinds.ts";
import { taskProblem } from "./wholeTasks.ts";

/** The newest form of exercises and answers as files. */
export const exerciseFormat = 1;

/**
 * An exercise as a file: `format` goes up when a part means something else than before, and older ones are brought up on
 * reading. Keys that are not known are kept.
 */
export const exerciseFileSchema = z.looseObject({
  format: z.literal(exerciseFormat),
  title: z.string().default(""),
  exercise: exerciseContentSchema,
});
export type ExerciseFile = z.infer<typeof exerciseFileSchema>;

/**
 * One answer, a JSON object a line: `id` is whose or which it is, `task` the key or the kind of a task of the exercise, and
 * `answer` as the task's kind has it.
 */
export const answerLineSchema = z.looseObject({
  format: z.literal(exerciseFormat).default(exerciseFormat),
  id: z.union([z.string(), z.number()]),
  task: z.string(),
  answer: z.unknown(),
});
export type AnswerLine = z.infer<typeof answerLineSchema>;

/** One mark, a JSON object a line. `earned` is what is decided; `suggested` counts what waits for the teacher, too. */
export const markLineSchema = z.object({
  id: z.union([z.string(), z.number()]),
  task: z.string(),
  kind: z.string(),
  items: z.array(
    z.object({
      item: z.string(),
      earned: z.number().nullable(),
      possible: z.number(),
      suggested: z.number().optional(),
      reason: z.string(),
    }),
  ),
  earned: z.number(),
  suggested: z.number(),
  possible: z.number(),
  waits: z.boolean(),
  reason: z.string(),
});
export type MarkLine = z.infer<typeof markLineSchema>;

/** An exercise from the text of a file, or why it is none, in words. A newer form is refused. */
export function readExerciseFile(text: string): { ok: true; file: ExerciseFile } | { ok: false; message: string } {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return { ok: false, message: "an exercise is a JSON object; this text is none" };
  }
  const format = z.object({ format: z.number() }).safeParse(value);
  if (format.success && format.data.format > exerciseFormat)
    return {
      ok: false,
      message: `this exercise is of form ${format.data.format}; forms up to ${exerciseFormat} are read here`,
    };
  const read = exerciseFileSchema.safeParse(value);
  if (read.success) {
    const problem = taskProblem(read.data.exercise);
    return problem === null ? { ok: true, file: read.data } : { ok: false, message: `of the exercise, ${problem}` };
  }
  const [issue] = read.error.issues;
  return {
    ok: false,
    message: `the exercise is not understood at ${issue?.path.join(".") || "its beginning"}: ${issue?.message ?? ""}`,
  };
}

/** What the `answer` of each kind of task looks like. */
const answers = z.union(taskKinds.map((kind) => kind.answerSchema.describe(`${kind.kind}: ${kind.title}`)));

/** JSON Schema (draft 2020-12) of exercises, and of a line of answers and of marks. */
export function exerciseJsonSchema(): unknown {
  const options = { io: "input", unrepresentable: "any" } as const;
  return {
    $schema: "https://json-schema.org/draft/2020-12/schema",
    title: "Exercises, answers and marks of Bent Nail",
    oneOf: [{ $ref: "#/$defs/exercise" }, { $ref: "#/$defs/answer" }, { $ref: "#/$defs/mark" }],
    $defs: {
      exercise: z.toJSONSchema(exerciseFileSchema, options),
      answer: z.toJSONSchema(answerLineSchema.extend({ answer: answers }), options),
      mark: z.toJSONSchema(markLineSchema, options),
    },
  };
}
