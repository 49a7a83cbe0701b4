import { z } from "zod";
import { readHandTable } from "../../trace/handTable.ts";
import { repeatedCells } from "../../trace/repeatUnchanged.ts";
import { stepSchema } from "../../trace/stepSchema.ts";
import { buildTable } from "../../trace/table.ts";
import { asRecorded, type TableStyle, tableStyleSchema, type ValueStyle } from "../../trace/tableStyle.ts";
import { askedProgram } from "../askedProgram.ts";
import { cellRule } from "../cellValues.ts";
import { defineTaskKind, type MakeContext } from "../taskKind.ts";
import { markTraceTable, type TraceMarking, traceMarks } from "../traceMarking.ts";

const columnSchema = z.object({
  ...{ key: z.string(), title: z.string() },
  ...{ functionName: z.string().optional(), className: z.string().optional() },
});
/** What of a style counts in an exercise: a row stands for every line. */
const styleSchema = tableStyleSchema.pick({ unchanged: true, texts: true, truth: true, objects: true });
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

/** Longest trace table that is asked of a student. */
const longestTable = 60;

/** Columns of the table including the output, by key. */
function markedColumns(columns: readonly TraceColumn[]): string[] {
  return [...columns.map((column) => column.key), "output"];
}

function rowsOfSteps(steps: TraceTask["steps"], style: ValueStyle = asRecorded): TraceRow[] {
  return buildTable({ steps }, { style }).rows.map((row) => ({
    line: row.line,
    cells: { ...row.cells, ...(row.output === "" ? {} : { output: row.output.replace(/\r?\n$/, "") }) },
  }));
}

/** The rows of a task's key, derived from its steps. */
export function rowsOf(task: Pick<TraceTask, "steps" | "rows" | "style">): TraceRow[] {
  return task.steps.length > 0 ? rowsOfSteps(task.steps, task.style) : task.rows;
}

/** A key and an answer laid beside each other, with the key that the marking goes by. */
type Laid = { key: TraceRow[]; marking: TraceMarking };

/**
 * The task's key rows and an answer laid beside each other: by the key in the course's style, or by the one as recorded where more
 * of the answer is right by that. An object by its name and one written whole are both right.
 */
function layBeside(task: TraceTask, answer: TraceAnswer): Laid {
  const lay = (key: TraceRow[]): Laid => ({
    key,
    marking: markTraceTable(
      key.map((row) => ({ line: String(row.line), cells: row.cells })),
      answer.rows,
      markedColumns(task.columns),
      new Set(task.given),
      task.linesGiven,
    ),
  });
  const styled = lay(rowsOf(task));
  if (!task.style || task.steps.length === 0) return styled;
  const plain = lay(rowsOfSteps(task.steps));
  return traceMarks(plain.marking, 100) > traceMarks(styled.marking, 100) ? plain : styled;
}

/** The task's key rows and an answer laid beside each other. */
export function compareWithKey(task: TraceTask, answer: TraceAnswer): TraceMarking {
  return layBeside(task, answer).marking;
}

/** What of a course's style a task keeps; an exercise of before there were styles has values as recorded. */
function styleOf(style: TableStyle | undefined): TraceTask["style"] {
  if (!style) return { ...asRecorded, unchanged: "blank" };
  const { unchanged, texts, truth, objects } = style;
  return { unchanged, texts, truth, objects };
}

type Wanted = Pick<TraceTask, "key" | "marks" | "program" | "check" | "linesGiven"> & { columns?: readonly string[] };

/** A task with the recorded run as its key. Given by default: the first row, so that the way of writing is seen. */
async function recorded({ exercise, record }: MakeContext, wanted: Wanted): Promise<TraceTask | string> {
  const text = wanted.program === "faulty" ? exercise.program : exercise.mended;
  if (text === null) return "The trace table cannot be asked: the program is not mended yet.";
  const run = await record(text, exercise.checks[wanted.check]);
  if ("notRun" in run && exercise.handTable !== "") return byHand(exercise.handTable, wanted);
  if ("notRun" in run) return `The trace table cannot be asked: ${run.notRun}`;
  const [first] = run.trace.steps;
  if (!first) return "The trace table cannot be asked: no line ran.";
  const steps = run.trace.steps.slice(0, longestTable);
  const style = styleOf(exercise.tableStyle);
  // What methods of several classes run is known of the steps that are kept.
  const table = buildTable({ steps }, { style });
  if (table.columns.length === 0) return "The trace table is not asked: no variable gets a value.";
  const rows = rowsOfSteps(steps, style);
  const used = new Set(rows.flatMap((row) => Object.keys(row.cells)));
  const columns = table.columns
    .filter((column) => (wanted.columns ? wanted.columns.includes(column.key) : used.has(column.key)))
    .map(({ key, title, functionName, className }) => ({
      ...{ key, title },
      ...(functionName === undefined ? {} : { functionName }),
      ...(className === undefined ? {} : { className }),
    }));
  const filled = rows.findIndex((row) => Object.keys(row.cells).length > 0);
  const given = cellsOf(rows, columns).filter((cell) => cell.startsWith(`${filled} `));
  const { key, marks, program, check, linesGiven } = wanted;
  return { key, kind: "trace", marks, program, check, linesGiven, columns, steps, rows: [], given, style };
}

/** A task with the table that the teacher wrote as its key. */
function byHand(text: string, wanted: Wanted): TraceTask | string {
  const read = readHandTable(text);
  if (!read.ok) return `The trace table cannot be asked: ${read.message}`;
  const rows = read.table.rows.slice(0, longestTable).map(({ line, cells, output }) => ({
    ...{ line, cells: { ...cells, ...(output === "" ? {} : { output }) } },
  }));
  if (rows.length === 0) return "The trace table cannot be asked: the table has no row yet.";
  const columns = read.table.columns
    .filter((name) => !wanted.columns || wanted.columns.includes(name))
    .map((name) => ({ key: name, title: name }));
  const first = rows.findIndex((row) => Object.keys(row.cells).length > 0);
  const given = cellsOf(rows, columns).filter((cell) => cell.startsWith(`${first} `));
  const { key, marks, program, check, linesGiven } = wanted;
  return { key, kind: "trace", marks, program, check, linesGiven, columns, steps: [], rows, given };
}

/** The cells of a table that hold something, as "row column". */
function cellsOf(rows: readonly TraceRow[], columns: readonly TraceColumn[]): string[] {
  return rows.flatMap((row, index) =>
    markedColumns(columns)
      .filter((column) => row.cells[column] !== undefined)
      .map((column) => `${index} ${column}`),
  );
}

const texts = z.array(z.string()).default([]);
const changeSchema = z.object({
  program: texts,
  check: z.array(z.coerce.number().int().min(0)).default([0]),
  linesGiven: texts,
  column: texts,
  given: texts,
});

/** Complete the trace table of a recorded run. */
export const traceTable = defineTaskKind({
  kind: "trace",
  title: "Complete the trace table",
  schema: traceTaskSchema,
  answerSchema: traceAnswerSchema,
  usualMarks: () => 6,
  needsRun: true,
  answeredBeforeTrying: true,
  answeredOnProgram: false,
  make: async (context, given) => {
    const asked = askedProgram(context.exercise);
    if (typeof asked === "string") return asked;
    return recorded(context, { ...given, program: asked.program, check: 0, linesGiven: true });
  },
  change: async (context, task, fields) => {
    const wanted = changeSchema.safeParse(fields);
    if (!wanted.success) return "What is wanted of the table could not be read. Nothing was changed.";
    const { data } = wanted;
    const program = data.program[0] === "mended" && context.exercise.mended !== null ? "mended" : "faulty";
    const same = program === task.program;
    const made = await recorded(context, {
      ...{ key: task.key, marks: task.marks, program },
      check: Math.min(data.check[0] ?? 0, Math.max(0, context.exercise.checks.length - 1)),
      linesGiven: data.linesGiven.length > 0,
      // The columns of one program say nothing of the other's.
      columns: same && data.column.length > 0 ? data.column : undefined,
    });
    if (typeof made === "string" || !same) return made;
    const known = new Set(cellsOf(rowsOf(made), made.columns));
    return { ...made, given: data.given.filter((cell) => known.has(cell)) };
  },
  view: (task, exercise): TraceView => ({
    text: task.program === "mended" ? exercise.mended : null,
    input: exercise.checks[task.check]?.input ?? "",
    linesGiven: task.linesGiven,
    columns: task.columns,
    // Given cells only; with line numbers given the rows are known, without them only the rows that hold a given cell.
    rows: rowsOf(task).flatMap((row, index) => {
      const shown = markedColumns(task.columns).filter((column) => task.given.includes(`${index} ${column}`));
      const cells = Object.fromEntries(
        shown.flatMap((column) => (row.cells[column] === undefined ? [] : [[column, row.cells[column]]])),
      );
      return task.linesGiven || Object.keys(cells).length > 0 ? [{ line: row.line, cells }] : [];
    }),
  }),
  rule: (task) =>
    `A row for each executed line; ${task.style?.unchanged === "repeated" ? "write every value in every row (a blank where nothing changes does no harm)" : "write a value only where it changes (repeating it does no harm)"}. ${cellRule} The marks are shared over the cells to be filled. A value where nothing changes, or a row too many, takes one cell away; a row left out costs its cells and does not spoil the rows after it.${task.linesGiven ? "" : " Line numbers are yours to write and earn nothing by themselves."} A cell that is right only by an earlier mistake of your own does not count yet.`,
  scheme: (task) => {
    const filled = cellsOf(rowsOf(task), task.columns).filter((cell) => !task.given.includes(cell));
    const words = `${filled.length} cells to be filled; see the filled table. No follow-through: each cell is compared with the real run.`;
    return [{ item: "table", marks: task.marks, words }];
  },
  key: (task, exercise): TraceKey => ({
    program: task.program,
    check: task.check,
    linesGiven: task.linesGiven,
    columns: task.columns,
    given: task.given,
    rows: rowsOf(task),
    repeated:
      task.style?.unchanged === "repeated"
        ? repeatedCells(buildTable({ steps: task.steps }, { style: task.style }))
        : null,
    checks: exercise.checks.length,
    mended: exercise.mended !== null,
  }),
  mark: async (task, answer) => {
    const marking = compareWithKey(task, answer);
    const words = [`${marking.right} of ${marking.wanted} cells are right`];
    if (marking.surplus > 0) words.push(`${marking.surplus} too many`);
    if (marking.missingRows.length > 0 && !task.linesGiven) words.push(`${marking.missingRows.length} rows left out`);
    return [
      { item: "table", earned: traceMarks(marking, task.marks), possible: task.marks, reason: `${words.join("; ")}.` },
    ];
  },
  compare: (task, answer): TraceCompared => ({
    columns: task.columns,
    order: markedColumns(task.columns),
    answer: answer.rows,
    ...layBeside(task, answer),
  }),
  difficulty: (task) => {
    const { length } = rowsOf(task);
    return { points: length > 15 ? 1 : 0, words: `a trace table of ${length} rows` };
  },
});
