import { z } from "zod";
import { exerciseContentSchema } from "../exercises/exercise.ts";

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
export type MarkLine = {
  id: string | number;
  task: string;
  kind: string;
  items: Array<{ item: string; earned: number | null; possible: number; suggested?: number; reason: string }>;
  earned: number;
  suggested: number;
  possible: number;
  waits: boolean;
  reason: string;
};

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
  if (read.success) return { ok: true, file: read.data };
  const [issue] = read.error.issues;
  return {
    ok: false,
    message: `the exercise is not understood at ${issue?.path.join(".") || "its beginning"}: ${issue?.message ?? ""}`,
  };
}

/** JSON Schema of what is written and read: exercises, answers. */
export function exerciseJsonSchema(): unknown {
  return z.toJSONSchema(exerciseFileSchema, { io: "input", unrepresentable: "any" });
}
