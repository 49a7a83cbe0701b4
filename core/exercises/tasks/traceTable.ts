import { z } from "zod";
import { cellRule } from "../cellValues.ts";
import { defineTaskKind } from "../taskKind.ts";
import { markTraceTable, traceMarks } from "../traceMarking.ts";

const columnSchema = z.object({ key: z.string(), title: z.string(), functionName: z.string().optional() });
const rowSchema = z.object({ line: z.number().int().positive(), cells: z.record(z.string(), z.string()) });
const schema = z.object({
  key: z.string(),
  kind: z.literal("trace"),
  marks: z.number().int().min(1),
  program: z.enum(["faulty", "mended"]),
  check: z.number().int().min(0),
  linesGiven: z.boolean(),
  columns: z.array(columnSchema),
  rows: z.array(rowSchema).min(1),
  /** Cells printed on the sheet, as "row column". */
  given: z.array(z.string()),
});
export type TraceTask = z.infer<typeof schema>;
export const traceTaskSchema = schema;

export const traceAnswerSchema = z.object({
  rows: z.array(z.object({ line: z.string().max(20).optional(), cells: z.record(z.string(), z.string().max(2000)) })).max(2000),
  givenUp: z.boolean().optional(),
});
export type TraceAnswer = z.infer<typeof traceAnswerSchema>;

/** Columns of the table including the output, by key. */
export function markedColumns(task: Pick<TraceTask, "columns">): string[] {
  return [...task.columns.map((column) => column.key), "output"];
}

/** The task's key rows and an answer laid beside each other. */
export function compareWithKey(task: TraceTask, answer: TraceAnswer) {
  return markTraceTable(
    task.rows.map((row) => ({ line: String(row.line), cells: row.cells })),
    answer.rows,
    markedColumns(task),
    new Set(task.given),
    task.linesGiven,
  );
}

/** Complete the trace table of a recorded run. */
export const traceTable = defineTaskKind({
  kind: "trace",
  title: "Complete the trace table",
  schema,
  answerSchema: traceAnswerSchema,
  view: (task, exercise) => ({
    program: task.program,
    text: task.program === "mended" ? exercise.mended : null,
    input: exercise.checks[task.check]?.input ?? "",
    linesGiven: task.linesGiven,
    columns: task.columns,
    // Given cells only; with line numbers given the rows are known, without them only the rows that hold a given cell.
    rows: task.rows.flatMap((row, index) => {
      const cells = Object.fromEntries(
        markedColumns(task).flatMap((column) =>
          task.given.includes(`${index} ${column}`) && row.cells[column] !== undefined ? [[column, row.cells[column]]] : [],
        ),
      );
      return task.linesGiven ? [{ line: row.line, cells }] : Object.keys(cells).length > 0 ? [{ line: row.line, cells }] : [];
    }),
  }),
  rule: (task) =>
    `A row for each executed line; write a value only where it changes (repeating it does no harm). ${cellRule} The marks are shared over the cells to be filled. A value where nothing changes, or a row too many, takes one cell away; a row left out costs its cells and does not spoil the rows after it.${task.linesGiven ? "" : " Line numbers are yours to write and earn nothing by themselves."} A cell that is right only by an earlier mistake of your own does not count yet.`,
  scheme: (task) => [
    {
      item: "table",
      marks: task.marks,
      words: `${task.rows.reduce((sum, row, index) => sum + markedColumns(task).filter((column) => row.cells[column] !== undefined && !task.given.includes(`${index} ${column}`)).length, 0)} cells to be filled; see the filled table. No follow-through: each cell is compared with the real run.`,
    },
  ],
  mark: async (task, answer) => {
    const marking = compareWithKey(task, answer);
    const words = [`${marking.right} of ${marking.wanted} cells are right`];
    if (marking.surplus > 0) words.push(`${marking.surplus} too many`);
    if (marking.missingRows.length > 0 && !task.linesGiven) words.push(`${marking.missingRows.length} rows left out`);
    return [{ item: "table", earned: traceMarks(marking, task.marks), possible: task.marks, reason: `${words.join("; ")}.` }];
  },
});
