import * as z from "zod";
import { findLanguage } from "../languages/languages.ts";
import { stepSchema } from "../trace/stepSchema.ts";
import { buildTable, gone } from "../trace/table.ts";
import { asRecorded, tableStyleSchema, type ValueStyle } from "../trace/tableStyle.ts";
import type { ExerciseContent } from "./exercise.ts";
import { promptsIn } from "./ownRun/promptsIn.ts";
import { type KeyColumn, markTraceTable, type TraceMarking, traceMarks } from "./traceMarking.ts";

const columnSchema = z.object({
  ...{ key: z.string(), title: z.string() },
  ...{ functionName: z.string().optional(), className: z.string().optional() },
});
/** What of a style counts in an exercise: a row stands for every line. */
const styleSchema = tableStyleSchema.pick({ unchanged: true, texts: true, truth: true, objects: true, notation: true });
const rowSchema = z.object({ line: z.number().int().positive(), cells: z.record(z.string(), z.string()) });
/** A trace-table task as it is kept. */
export const traceTaskSchema = z.object({
  key: z.string(),
  kind: z.literal("trace"),
  marks: z.number().int().min(1),
  program: z.enum(["faulty", "mended"]),
  check: z.number().int().min(0),
  linesGiven: z.boolean(),
  columns: z.array(columnSchema),
  /** The recorded run, as far as the table goes; the table is derived from it. */
  steps: z.array(stepSchema).default([]),
  /** The table itself, of tasks that were made before steps were kept. */
  rows: z.array(rowSchema).default([]),
  /** Cells printed on the sheet, as "row column". */
  given: z.array(z.string()),
  /** How its values are written; as recorded in tasks that were made before there were styles. */
  style: styleSchema.optional(),
  /** How many rows the whole run has, where the table ends before it. */
  cutOf: z.number().int().positive().optional(),
  /** A text of digits and a number have to be told apart by their quotes; students are told. */
  quotesCount: z.boolean().optional(),
});
export type TraceTask = z.infer<typeof traceTaskSchema>;
export type TraceRow = z.infer<typeof rowSchema>;
export type TraceColumn = z.infer<typeof columnSchema>;

export const traceAnswerSchema = z.object({
  rows: z
    .array(z.object({ line: z.string().max(20).optional(), cells: z.record(z.string(), z.string().max(2000)) }))
    .max(2000),
  givenUp: z.boolean().optional(),
});
export type TraceAnswer = z.infer<typeof traceAnswerSchema>;

/** What a student sees of the table: rows that are known, each with its given cells only. */
export type TraceView = {
  text: string | null;
  input: string;
  linesGiven: boolean;
  columns: TraceColumn[];
  rows: TraceRow[];
};

/** An answer beside the key; `order` are the columns by key, the output's among them. */
export type TraceCompared = {
  columns: TraceColumn[];
  order: string[];
  key: TraceRow[];
  answer: TraceAnswer["rows"];
  marking: TraceMarking;
};

/** The teacher's copy: the filled table, and what can be chosen; `repeated` where unchanged values are repeated, a row each. */
export type TraceKey = Pick<TraceTask, "program" | "check" | "linesGiven" | "columns" | "given"> & {
  repeated: Array<Record<string, string>> | null;
  rows: TraceRow[];
  checks: number;
  mended: boolean;
};

/** Columns of the table including the output, by key. */
export function markedColumns(columns: readonly TraceColumn[]): string[] {
  return [...columns.map((column) => column.key), "output"];
}

/** The rows of a recorded run, without what only asks for input. */
export function rowsOfSteps(steps: TraceTask["steps"], program: string, style: ValueStyle = asRecorded): TraceRow[] {
  const { withoutPrompt } = promptsIn(steps, program);
  return buildTable({ steps }, { style }).rows.map((row, place) => {
    // What only asks for input is no cell of the table.
    const output = (withoutPrompt.get(place) ?? row.output).replace(/\r?\n$/, "");
    // Nor is what a name holds no more: nobody writes that down on paper.
    const cells = Object.fromEntries(Object.entries(row.cells).filter(([, text]) => text !== gone));
    return { line: row.line, cells: { ...cells, ...(output === "" ? {} : { output }) } };
  });
}

/** The text of the program that a task is about. */
function programOf(task: Pick<TraceTask, "program">, exercise: Pick<ExerciseContent, "program" | "mended">): string {
  return (task.program === "mended" ? exercise.mended : null) ?? exercise.program;
}

/** An exercise as far as its tables go. */
export type Programs = Pick<ExerciseContent, "language" | "program" | "mended">;

/** The rows of a task's key, derived from its steps. */
export function rowsOf(task: Pick<TraceTask, "steps" | "rows" | "style" | "program">, exercise: Programs): TraceRow[] {
  return task.steps.length > 0 ? rowsOfSteps(task.steps, programOf(task, exercise), task.style) : task.rows;
}

/** Every variable of a key, whether it is asked for or not. */
function variablesOf(task: TraceTask): KeyColumn[] {
  if (task.steps.length === 0) return task.columns;
  return buildTable({ steps: task.steps }).columns.map(({ key, title, functionName, className }) => ({
    ...{ key, title },
    ...(functionName === undefined ? {} : { functionName }),
    ...(className === undefined ? {} : { className }),
  }));
}

/** A key and an answer laid beside each other, with the key that the marking goes by. */
export type Laid = { key: TraceRow[]; marking: TraceMarking };

/**
 * The task's key rows and an answer laid beside each other: by the key in the course's style, or by the one as recorded where more
 * of the answer is right by that. An object by its name and one written whole are both right.
 */
export function layBeside(task: TraceTask, answer: TraceAnswer, exercise: Programs): Laid {
  const program = programOf(task, exercise);
  const lay = (key: TraceRow[]): Laid => ({
    key,
    marking: markTraceTable(
      {
        ...{ language: findLanguage(exercise.language), program, key, variables: variablesOf(task) },
        ...{ columns: markedColumns(task.columns), given: new Set(task.given), linesGiven: task.linesGiven },
        reading: { quotesCount: task.quotesCount === true },
        notationCounts: task.style?.notation === "counts",
        ...{ cut: task.cutOf !== undefined, prompts: promptsIn(task.steps, program).texts },
      },
      answer.rows,
    ),
  });
  const styled = lay(rowsOf(task, exercise));
  if (!task.style || task.steps.length === 0 || styled.marking.right >= styled.marking.wanted) return styled;
  const plain = lay(rowsOfSteps(task.steps, program));
  return traceMarks(plain.marking, 100) > traceMarks(styled.marking, 100) ? plain : styled;
}

/** The task's key rows and an answer laid beside each other. */
export function compareWithKey(task: TraceTask, answer: TraceAnswer, exercise: Programs): TraceMarking {
  return layBeside(task, answer, exercise).marking;
}
