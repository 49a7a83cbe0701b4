import * as z from "zod";
import { comparisonSchema } from "../assignments/comparison.ts";
import { intendedPieceSchema } from "../assignments/intended.ts";
import { faultClassSchema, hunkSchema } from "../cases/case.ts";
import { surroundingsSchema } from "../cases/surroundings.ts";
import { tableStyleSchema } from "../trace/tableStyle.ts";
import { dataChangeSchema } from "./dataChanges.ts";

export const exerciseCheckSchema = z.object({
  input: z.string(),
  expected: z.string().nullable(),
  kind: z.enum(["normal", "boundary", "erroneous"]),
  /** What editions of before there were other rules of comparing say; `comparison` stands before it. */
  ignorePrompts: z.boolean().default(false),
  comparison: comparisonSchema.optional(),
  /** The intended output as a model gave it, where one did. */
  pieces: z.array(intendedPieceSchema).optional(),
  /** What lies beside the program. */
  files: surroundingsSchema.default({}),
});
export type ExerciseCheck = z.infer<typeof exerciseCheckSchema>;

/**
 * A check that students never see, by which what hides a fault is told from what mends it: another input, or another number
 * in the program's data, with what the mended program gives then.
 */
export const hiddenCheckSchema = exerciseCheckSchema.extend({ data: dataChangeSchema.optional() });
export type HiddenCheck = z.infer<typeof hiddenCheckSchema>;

/**
 * One fault of the exercise's program; `hunks` mend it alone, on the faulty program. Lines are 1-based in that program.
 */
export const exerciseFaultSchema = z.object({
  class: faultClassSchema,
  symptom: z.string(),
  message: z.string(),
  reportedLine: z.number().int().positive().nullable(),
  faultyLines: z.array(z.number().int().positive()),
  hunks: z.array(hunkSchema),
  /** Which lines are looked at, in this order, until it is found (core/lessons/looks.ts); absent in those made before. */
  looks: z.array(z.object({ line: z.number().int().positive(), why: z.string() })).optional(),
  /** By how many of the checks it is noticed, where that was tried. */
  noticed: z.object({ by: z.number().int().min(0), of: z.number().int().min(0) }).optional(),
});
export type ExerciseFault = z.infer<typeof exerciseFaultSchema>;

/** A task as it is kept; what else it holds is its kind's affair (core/exercises/tasks). */
export const taskSchema = z.looseObject({ key: z.string(), kind: z.string(), marks: z.number().int().min(0).max(100) });
export type Task = z.infer<typeof taskSchema>;

/**
 * A program with tasks, free of names. `mended` is null if the case is not mended yet: then nothing about mending can
 * be asked.
 */
export const exerciseContentSchema = z.object({
  language: z.string(),
  fileName: z.string(),
  intro: z.string(),
  /** What the user does, step by step, where the program waits for that. */
  userActions: z.array(z.string()).default([]),
  /** A trace table that the teacher wrote (core/trace/handTable.ts), where nothing runs; "" where there is none. */
  handTable: z.string().default(""),
  /** How its trace tables are written, as the course had it when it was made; absent in those made before there were styles. */
  tableStyle: tableStyleSchema.optional(),
  program: z.string(),
  mended: z.string().nullable(),
  faults: z.array(exerciseFaultSchema),
  checks: z.array(exerciseCheckSchema),
  /** Frozen with the exercise; in no page. */
  hiddenChecks: z.array(hiddenCheckSchema).default([]),
  /** What students see of its runs beside the program, as the teacher chose: outputs, the error output. */
  given: z.array(z.object({ of: z.enum(["output", "errors"]), says: z.string(), text: z.string() })).default([]),
  tasks: z.array(taskSchema),
});
export type ExerciseContent = z.infer<typeof exerciseContentSchema>;

/** The marks of an exercise, all tasks together. */
export function totalMarks(content: Pick<ExerciseContent, "tasks">): number {
  return content.tasks.reduce((sum, task) => sum + task.marks, 0);
}
