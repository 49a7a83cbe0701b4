import * as z from "zod";
import { readHandTable } from "../../trace/handTable.ts";
import { repeatedCells } from "../../trace/repeatUnchanged.ts";
import { buildTable } from "../../trace/table.ts";
import { asRecorded, type TableStyle } from "../../trace/tableStyle.ts";
import { shownRun } from "../askedInAll.ts";
import { askedProgram } from "../askedProgram.ts";
import { cellRule, holdsTextOfDigits, quotesRule } from "../cellValues.ts";
import type { ExerciseContent } from "../exercise.ts";
import { defineTaskKind, type MakeContext } from "../taskKind.ts";
import { type TraceMarking, traceMarks } from "../traceMarking.ts";
import {
  compareWithKey,
  layBeside,
  markedColumns,
  rowsOf,
  rowsOfSteps,
  type TraceColumn,
  type TraceCompared,
  type TraceKey,
  type TraceRow,
  type TraceTask,
  type TraceView,
  traceAnswerSchema,
  traceTaskSchema,
} from "../traceTask.ts";

/** Longest trace table that is asked of a student. */
const longestTable = 60;

/** What of a course's style a task keeps; an exercise of before there were styles has values as recorded. */
function styleOf(style: TableStyle | undefined): TraceTask["style"] {
  if (!style) return { ...asRecorded, unchanged: "blank", notation: "free" };
  const { unchanged, texts, truth, objects, notation } = style;
  return { unchanged, texts, truth, objects, notation };
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
  const usual = styleOf(exercise.tableStyle);
  const recordedCells = rowsOfSteps(steps, text).flatMap(({ cells }) => Object.values(cells));
  const quotesCount = holdsTextOfDigits(recordedCells);
  // Where they tell a text from a number, quotes are written whatever the course does else.
  const style = usual && quotesCount ? { ...usual, texts: "quoted" as const } : usual;
  // What methods of several classes run is known of the steps that are kept.
  const table = buildTable({ steps }, { style });
  if (table.columns.length === 0) return "The trace table is not asked: no variable gets a value.";
  const rows = rowsOfSteps(steps, text, style);
  const used = new Set(rows.flatMap((row) => Object.keys(row.cells)));
  const columns = table.columns
    .filter((column) => (wanted.columns ? wanted.columns.includes(column.key) : used.has(column.key)))
    .map(({ key, title, functionName, className }) => ({
      ...{ key, title },
      ...(functionName === undefined ? {} : { functionName }),
      ...(className === undefined ? {} : { className }),
    }));
  const filled = rows.findIndex((row) => Object.keys(row.cells).length > 0);
  const all = cellsOf(rows, columns);
  const inFirst = all.filter((cell) => cell.startsWith(`${filled} `));
  // A table of one row would have nothing left to be filled in.
  const given = inFirst.length < all.length ? inFirst : [];
  const { key, marks, program, check, linesGiven } = wanted;
  const length = run.trace.steps.length;
  return {
    ...{ key, kind: "trace", marks, program, check, linesGiven, columns, steps, rows: [], given, style },
    ...(length > steps.length ? { cutOf: length } : {}),
    ...(quotesCount ? { quotesCount } : {}),
  };
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

/** What earned and what did not, for whoever reads the mark. */
function wordsFor(marking: TraceMarking): string {
  const all = marking.rows.flatMap(({ cells }) => Object.values(cells));
  const count = (verdict: string) => all.filter((each) => each === verdict).length;
  const words = [`${marking.right} of ${marking.wanted} cells earn`];
  const follows = count("follows");
  if (follows > 0) words.push(`${follows} of them follow rightly from an earlier slip`);
  if (marking.slips > 0) words.push(`${marking.slips} ${marking.slips === 1 ? "slip" : "slips"}, a cell each`);
  words.push(...marking.throughout);
  if (marking.open > 0) words.push(`${marking.open} cells after a slip wait for the teacher, since they need a run`);
  return `${words.join("; ")}.`;
}

/** What a student sees of the table before release: cells that are given, and the lines where they are. */
const traceView = (task: TraceTask, exercise: ExerciseContent): TraceView => ({
  text: task.program === "mended" ? exercise.mended : null,
  input: exercise.checks[task.check]?.input ?? "",
  linesGiven: task.linesGiven,
  columns: task.columns,
  // Given cells only; with line numbers given the rows are known, without them only the rows that hold a given cell.
  rows: rowsOf(task, exercise).flatMap((row, index) => {
    const shown = markedColumns(task.columns).filter((column) => task.given.includes(`${index} ${column}`));
    const cells = Object.fromEntries(
      shown.flatMap((column) => (row.cells[column] === undefined ? [] : [[column, row.cells[column]]])),
    );
    return task.linesGiven || Object.keys(cells).length > 0 ? [{ line: row.line, cells }] : [];
  }),
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
    const known = new Set(cellsOf(rowsOf(made, context.exercise), made.columns));
    return { ...made, given: data.given.filter((cell) => known.has(cell)) };
  },
  asks: (task, exercise) => {
    const { columns, input, rows, text } = traceView(task, exercise);
    const names = [
      ...columns.map(({ title, functionName }) => (functionName ? `${title} in ${functionName}` : title)),
      "output",
    ];
    const keys = [...columns.map(({ key }) => key), "output"];
    const lines = rows.map((row) => [row.line, ...keys.map((key) => row.cells[key] ?? "")].join(" | "));
    return {
      parts: [
        {
          ...{ says: "", shown: shownRun(text, input) },
          fields: [
            {
              ...{
                name: "table",
                says: "The trace table: a row for each executed line",
                rows: Math.max(6, rows.length + 1),
              },
              ...{ code: true, starts: [["line", ...names].join(" | "), ...lines].join("\n") },
            },
          ],
        },
      ],
      right: {},
    };
  },
  view: traceView,
  rule: (task) =>
    [
      task.linesGiven
        ? "A row for each executed line."
        : "A row for each executed line, for each change, or for each pass of a loop: as you like. Line numbers are yours to write and earn nothing by themselves.",
      task.style?.unchanged === "repeated"
        ? "Write every value in every row (a blank or “-” where nothing changes does no harm)."
        : "Write a value only where it changes (repeating it, or “-”, does no harm).",
      task.quotesCount ? quotesRule : cellRule,
      task.style?.notation === "counts"
        ? "Another way of writing values than the language’s costs one cell, however often it is used."
        : "",
      "The marks are shared over the cells to be filled, in half marks, rounded down. A mistake costs one cell, once: what you work out rightly from it counts as right. A value where nothing changes, or a row too many, takes one cell away. What the program writes to ask for input need not be written.",
      task.cutOf === undefined
        ? ""
        : `The run has ${task.cutOf} rows; the table ends after ${longestTable}, and what you write behind that neither earns nor costs.`,
    ]
      .filter((sentence) => sentence !== "")
      .join(" "),
  scheme: (task, exercise) => {
    const filled = cellsOf(rowsOf(task, exercise), task.columns).filter((cell) => !task.given.includes(cell));
    const words = `${filled.length} cells to be filled; see the filled table. A slip costs one cell, once: cells that follow rightly from it earn.`;
    return [{ item: "table", marks: task.marks, words }];
  },
  key: (task, exercise): TraceKey => ({
    program: task.program,
    check: task.check,
    linesGiven: task.linesGiven,
    columns: task.columns,
    given: task.given,
    rows: rowsOf(task, exercise),
    repeated:
      task.style?.unchanged === "repeated"
        ? repeatedCells(buildTable({ steps: task.steps }, { style: task.style }))
        : null,
    checks: exercise.checks.length,
    mended: exercise.mended !== null,
  }),
  mark: async (task, answer, { exercise }) => {
    const marking = compareWithKey(task, answer, exercise);
    const earned = traceMarks(marking, task.marks);
    const reason = wordsFor(marking);
    if (marking.open === 0) return [{ item: "table", earned, possible: task.marks, reason }];
    // What nobody but the teacher can work out from the student's own values.
    return [{ item: "table", earned: null, suggested: earned, possible: task.marks, reason }];
  },
  compare: (task, answer, exercise): TraceCompared => ({
    columns: task.columns,
    order: markedColumns(task.columns),
    answer: answer.rows,
    ...layBeside(task, answer, exercise),
  }),
  rules: [
    {
      ...{ name: "notation", says: "Another notation than the language’s costs a cell", isYesOrNo: true, to: () => 1 },
      read: (task) => Number(task.style?.notation === "counts"),
      write: (task, value) => ({
        ...task,
        style: {
          ...(task.style ?? styleOf(undefined)),
          notation: value === 1 ? "counts" : "free",
        } as TraceTask["style"],
      }),
    },
    {
      ...{ name: "quotes", says: "Quotes tell a text from a number", isYesOrNo: true, to: () => 1 },
      read: (task) => Number(task.quotesCount === true),
      write: (task, value) => ({ ...task, quotesCount: value === 1 }),
    },
  ],
  model: (task, exercise) => ({ rows: rowsOf(task, exercise).map(({ cells }) => ({ cells })) }),
  worthless: () => [{ rows: [] }, { rows: [{ cells: {} }] }],
  difficulty: (task) => {
    const length = task.steps.length > 0 ? task.steps.length : task.rows.length;
    return { points: length > 15 ? 1 : 0, words: `a trace table of ${length} rows` };
  },
});
