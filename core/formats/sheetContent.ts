import * as z from "zod";
import type { TaskPart } from "../exercises/asked.ts";
import { type ExerciseContent, exerciseContentSchema, totalMarks } from "../exercises/exercise.ts";
import type { SchemeItem } from "../exercises/taskKind.ts";
import { kindOfTask } from "../exercises/taskKinds.ts";
import { taskProblem } from "./wholeTasks.ts";

/** A sheet as it goes out: its exercises in their order, each with the part of the sheet that it belongs to. */
export type SheetToWrite = {
  title: string;
  minutes: number | null;
  exercises: ReadonlyArray<{ title: string; section: string; content: ExerciseContent }>;
};

/** A task of a sheet for files of other programs: what it asks, and what is right in its fields. */
export type WrittenTask = {
  title: string;
  marks: number;
  rule: string;
  parts: TaskPart[];
  /** By the names of fields; only those of which it is known. */
  right: Record<string, string>;
  /** What earns marks, for whoever marks. */
  scheme: SchemeItem[];
};

/** An exercise of a sheet for files of other programs. `files` with text null: what is not there. */
export type WrittenExercise = {
  title: string;
  section: string;
  intro: string;
  userActions: readonly string[];
  language: string;
  fileName: string;
  program: string;
  faults: number;
  files: ReadonlyArray<{ name: string; text: string | null }>;
  given: ReadonlyArray<{ says: string; text: string }>;
  total: number;
  tasks: WrittenTask[];
};

/** What a sheet says to whoever works on it, task by task, in plain words. */
export function writtenExercises({ exercises }: SheetToWrite): WrittenExercise[] {
  return exercises.map(({ title, section, content }) => ({
    ...{ title, section, intro: content.intro, userActions: content.userActions },
    ...{ language: content.language, fileName: content.fileName, program: content.program },
    ...{ faults: content.faults.length, total: totalMarks(content) },
    given: content.given.map(({ says, text }) => ({ says, text })),
    files: Object.entries(content.checks[0]?.files ?? {}).map(([name, text]) => ({ name, text })),
    tasks: content.tasks.map((task) => {
      const kind = kindOfTask(task);
      const scheme = kind.scheme(task, content);
      return { title: kind.title, marks: task.marks, rule: kind.rule(task), ...kind.asks(task, content), scheme };
    }),
  }));
}

/** The newest form of a sheet as a file. */
export const sheetFormat = 1;

/** A whole sheet as a file of our own, JSON; docs/exercise-format.md. */
export const sheetFileSchema = z.looseObject({
  format: z.literal(sheetFormat),
  sheet: z.looseObject({
    title: z.string().min(1).max(200),
    minutes: z.number().int().positive().nullable().default(null),
    exercises: z
      .array(z.looseObject({ title: z.string(), section: z.string().default(""), exercise: exerciseContentSchema }))
      .max(200),
  }),
});

/** A sheet as the text of a file of our own. */
export function sheetFile({ title, minutes, exercises }: SheetToWrite): string {
  const placed = exercises.map(({ title: name, section, content }) => ({ title: name, section, exercise: content }));
  return `${JSON.stringify({ format: sheetFormat, sheet: { title, minutes, exercises: placed } }, null, 1)}\n`;
}

/** A sheet from the text of such a file, or why it is none, in words. */
export function readSheetFile(text: string): { ok: true; sheet: SheetToWrite } | { ok: false; message: string } {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return { ok: false, message: "This is no sheet of Bent Nail: a sheet is a JSON object." };
  }
  const format = z.object({ format: z.number(), sheet: z.unknown() }).safeParse(value);
  if (format.success && format.data.format > sheetFormat)
    return {
      ok: false,
      message: `This sheet is of form ${format.data.format}; forms up to ${sheetFormat} are read here. A newer Bent Nail has written it.`,
    };
  const read = sheetFileSchema.safeParse(value);
  if (!read.success) {
    const [issue] = read.error.issues;
    return {
      ok: false,
      message: `The sheet is not understood at ${issue?.path.join(".") || "its beginning"}: ${issue?.message ?? ""}`,
    };
  }
  const { title, minutes } = read.data.sheet;
  const exercises = read.data.sheet.exercises.map(({ title: name, section, exercise }) => ({
    ...{ title: name, section, content: exercise },
  }));
  for (const [at, { content }] of exercises.entries()) {
    const problem = taskProblem(content);
    if (problem !== null) return { ok: false, message: `Of exercise ${at + 1} of this sheet, ${problem}.` };
  }
  return { ok: true, sheet: { title, minutes, exercises } };
}
