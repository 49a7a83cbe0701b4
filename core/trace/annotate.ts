import type { Language } from "../languages/language.ts";
import { type Decision, decisionsOf } from "./conditions.ts";
import { readSteps } from "./inputStream.ts";
import { recursionRemarks } from "./levels.ts";
import { loopRemarks } from "./loopRemarks.ts";
import { type PassOf, passesOf, passText } from "./passes.ts";
import { positionsOf } from "./positions.ts";
import { buildTable, isChange, type TableOptions, type TableRow, type TraceTable } from "./table.ts";
import type { RowPolicy } from "./tableStyle.ts";
import type { Trace } from "./trace.ts";

/** What a readable table is made with; `input` is all that is typed in, where what waits of it is to be seen. */
export type ReadableOptions = Omit<TableOptions, "rows" | "positions"> & { rows?: RowPolicy; input?: string };

/** The trace table of a recorded run of a program in a language, with its decisions and passes, in the rows that are wanted. */
export function readableTable(
  language: Language,
  text: string,
  trace: Trace,
  options: ReadableOptions = {},
): TraceTable {
  const { rows, input, ...wanted } = options;
  const whole = buildTable(trace);
  const isWhole = !wanted.columns && !wanted.elements && !wanted.style;
  const chosen = isWhole ? whole : buildTable(trace, { ...wanted, positions: positionsOf(language, text) });
  const told = { decisions: decisionsOf(language, text, trace), passes: passesOf(language, text, trace) };
  const remarks = [
    ...(chosen.remarks ?? []),
    ...loopRemarks(language, text, trace, whole, told),
    ...recursionRemarks(whole.rows),
  ];
  const annotatedRows = annotated(trace, chosen, told);
  const queued =
    input === undefined ? annotatedRows : withWaiting(annotatedRows, readSteps(language, text, trace), input);
  const table = { ...queued, ...(remarks.length > 0 ? { remarks } : {}) };
  if (rows === "pass") return byPass(trace, table, told);
  return rows === "change" ? { ...table, rows: table.rows.filter(isChange) } : table;
}

/** A table whose rows say what their reads leave of all that is typed in. */
function withWaiting(table: TraceTable, reads: ReturnType<typeof readSteps>, input: string): TraceTable {
  if (reads.length === 0) return table;
  const typed = input.replaceAll("\r\n", "\n");
  const left = new Map<number, string>();
  let taken = 0;
  for (const { step, took } of reads) {
    taken += took.length;
    left.set(step, typed.slice(taken));
  }
  return {
    ...table,
    rows: table.rows.map((row) => {
      const waiting = left.get(row.step);
      return waiting === undefined ? row : { ...row, waiting };
    }),
  };
}

/** A decision as it stands in a table: what it came to, and what was not looked at. */
function conditionText({ holds, skipped }: Decision): string {
  return [String(holds), ...skipped.map((part) => `${part}: not looked at`)].join("; ");
}

/** What is told of a run beside its values: decisions and passes, by the places of steps. */
type Told = { decisions: ReadonlyMap<number, Decision>; passes: ReadonlyMap<number, PassOf[]> };

/** A table with what its rows' decisions came to, and the passes of loops in which they are. `table` has a row for every step. */
function annotated({ steps }: Pick<Trace, "steps">, table: TraceTable, { decisions, passes }: Told): TraceTable {
  const places = new Map(steps.map((step, place) => [step.index, place]));
  return {
    ...table,
    rows: table.rows.map((row) => {
      const place = places.get(row.step) ?? -1;
      const decision = decisions.get(place);
      const pass = passText(passes.get(place));
      return { ...row, ...(decision ? { condition: conditionText(decision) } : {}), ...(pass === "" ? {} : { pass }) };
    }),
  };
}

/** Whether a table's rows have decisions, and passes. */
export const hasConditions = (table: Pick<TraceTable, "rows">) => table.rows.some((row) => row.condition !== undefined);
export const hasPasses = (table: Pick<TraceTable, "rows">) => table.rows.some((row) => row.pass !== undefined);

/**
 * A table with a row for each pass of its innermost loops: the values at the end of the pass, all that was printed and typed in it.
 * Rows outside of loops, and those that only look and go on with no pass, stay as they are.
 */
function byPass(trace: Pick<Trace, "steps">, table: TraceTable, { passes }: Told): TraceTable {
  const innermost = (place: number): PassOf | undefined => passes.get(place)?.at(-1);
  const places = new Map(trace.steps.map((step, place) => [step.index, place]));
  const rows: TableRow[] = [];
  let open: { row: TableRow; key: string; depth: number } | null = null;
  /** Rows of a header wait: they belong to the pass that begins with them. */
  let waiting: TableRow[] = [];
  const merge = (one: TableRow, other: TableRow): TableRow => ({
    ...one,
    ...{ step: other.step, cells: mergedCells(one, other), output: one.output + other.output },
    ...(one.short || other.short ? { short: { ...one.short, ...other.short } } : {}),
    ...(one.objects || other.objects ? { objects: { ...one.objects, ...other.objects } } : {}),
    ...(other.waiting === undefined ? {} : { waiting: other.waiting }),
    ...(one.input === undefined && other.input === undefined ? {} : { input: (one.input ?? "") + (other.input ?? "") }),
    ...(other.raised === undefined ? {} : { raised: other.raised }),
    ...(other.unseen === undefined ? {} : { unseen: other.unseen }),
    ...(other.pass === undefined ? {} : { pass: other.pass }),
    line: other.line,
  });
  const close = () => {
    if (open) rows.push(open.row);
    open = null;
  };
  for (const row of table.rows) {
    const place = places.get(row.step) ?? -1;
    const inner = innermost(place);
    const frame = trace.steps[place]?.frame;
    // What is called in a pass and goes round in no loop of its own belongs to the pass.
    const within = open as { row: TableRow; key: string; depth: number } | null;
    if (within && !inner && row.depth > within.depth) {
      open = { ...within, row: merge(within.row, { ...row, line: within.row.line }) };
      continue;
    }
    if (!inner || row.call !== undefined) {
      close();
      rows.push(...waiting, row);
      waiting = [];
      continue;
    }
    if (row.line === inner.loop.header) {
      close();
      waiting.push(row);
      continue;
    }
    const key = `${frame} ${inner.loop.header} ${passText(passes.get(place))}`;
    if (within?.key === key) open = { ...within, row: merge(within.row, row) };
    else {
      close();
      const before = waiting.pop();
      rows.push(...waiting);
      waiting = [];
      const start = before ? merge(before, row) : row;
      const { condition: _, ...rest } = start;
      open = { key, row: rest, depth: row.depth };
    }
  }
  close();
  rows.push(...waiting);
  return { ...table, rows };
}

/** The cells of two rows in one: of a named object that both tell of, the changes of both. */
function mergedCells(one: TableRow, other: TableRow): TableRow["cells"] {
  const cells: Record<string, string> = { ...one.cells, ...other.cells };
  for (const [key, text] of Object.entries(other.cells)) {
    const former = one.cells[key];
    if (former === undefined || other.short?.[key] === undefined || one.short?.[key] !== other.short[key]) continue;
    cells[key] = `${former}; ${text}`;
  }
  return cells;
}
