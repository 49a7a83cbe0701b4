import { createObjectStore } from "./objectStore.ts";
import type { Step, Trace, Value } from "./trace.ts";

/** A column: a name in a frame kind. `key` is stable within one table; `title` is what stands over it. */
export type TableColumn = { key: string; title: string; scope: "global" | "function"; functionName?: string };

/**
 * A row: the values after line `line` ran. `cells` holds only what changed, by column key; `step` is the recorded step.
 */
export type TableRow = {
  step: number;
  line: number;
  file: number;
  depth: number;
  /** The function that is entered here, with what it is given; and what the one that ends here gives back. */
  call?: string;
  arguments?: readonly string[];
  returned?: string;
  raised?: string;
  /** What a decision of the line came to, with what was not looked at; and in which passes of loops the row is (`2.3`). */
  condition?: string;
  pass?: string;
  cells: Readonly<Record<string, string>>;
  output: string;
  input?: string;
  /** The end of `output` that never reached the screen. */
  unseen?: string;
};

/** `remarks` are said of its loops, as its last rows: one never entered, one that goes round for ever. */
export type TraceTable = { columns: TableColumn[]; rows: TableRow[]; cut?: string; remarks?: string[] };

/** What a table is made of: the recorded steps, and in words what is missing. */
export type TraceSteps = Pick<Trace, "steps" | "cut"> & Partial<Trace>;

/**
 * "line": a row for every executed line. "change": only rows in which a column changes, something is printed or typed in, or a
 * decision is made. "pass": one for each pass of an innermost loop (annotate.ts).
 */
export const rowPolicies = ["line", "change", "pass"] as const;
export type RowPolicy = (typeof rowPolicies)[number];

type Cell = { column: TableColumn; value: Value | null; text: string };

/** What stands in a cell: blank where there is no value yet. */
const textOf = (store: ReturnType<typeof createObjectStore>, value: Value | null): string => {
  if (value === null) return "(gone)";
  return store.isUnset(value) ? "" : store.write(value);
};

/** The column of a variable; `functionName` undefined for one of the program. */
function columnOf(title: string, functionName: string | undefined): TableColumn {
  if (functionName === undefined) return { key: title, title, scope: "global" };
  return { key: `${functionName}.${title}`, title, scope: "function", functionName };
}

/**
 * The trace table of a recorded run: a column per variable in the order of the first value, an output column, blank
 * where nothing changed. A variable of a function has one column for all its calls. An object shows what it holds in
 * every column of the program and of the call whose line ran; a call that waits shows what was changed meanwhile when it
 * goes on. `columns` limits and orders the variables by key.
 */
export function buildTable(
  trace: TraceSteps,
  options: { rows?: "line" | "change"; columns?: readonly string[] } = {},
): TraceTable {
  const store = createObjectStore();
  const columns = new Map<string, TableColumn>();
  const frameNames = new Map<number, string>();
  /** Cells by their owner (0 for the program, else the call) and the name in it. */
  const live = new Map<number, Map<string, Cell>>();
  /** How many changes of objects there were, and how many of them each call has seen. */
  let changes = 0;
  const seen = new Map<number, number>();
  const rows: TableRow[] = [];
  const chosen = options.columns ? new Set(options.columns) : null;

  /** What each column shows by now: of several calls of one function all have the same ones. */
  const standing = new Map<string, string>();
  let frame = 0;

  function show(cells: Record<string, string>, { column, text }: Cell): void {
    cells[column.key] = text;
    standing.set(column.key, text);
    if (text !== "" && !columns.has(column.key)) columns.set(column.key, column);
  }

  /** Everything of an owner that holds others is written again. */
  function refresh(owner: number, cells: Record<string, string>): void {
    for (const cell of live.get(owner)?.values() ?? []) {
      if (!cell.value || cell.value.text !== undefined) continue;
      const text = textOf(store, cell.value);
      if (text === cell.text) continue;
      cell.text = text;
      show(cells, cell);
    }
  }

  for (const step of trace.steps) {
    if (step.call !== undefined) frameNames.set(step.frame, step.call);
    const cells: Record<string, string> = {};
    const before = changes;
    for (const write of step.writes) {
      store.apply(write);
      if (write.scope === "object") {
        changes += 1;
        continue;
      }
      const name = String(write.path[0]);
      const own = live.get(write.owner) ?? new Map<string, Cell>();
      live.set(write.owner, own);
      const column = columnOf(name, write.scope === "global" ? undefined : (frameNames.get(write.owner) ?? "?"));
      const cell = { column, value: write.value, text: textOf(store, write.value) };
      const former = own.get(name)?.text ?? "";
      own.set(name, cell);
      if (cell.text !== former && (write.value !== null || former !== "")) show(cells, cell);
    }
    if (changes !== before) refresh(0, cells);
    if (changes !== (seen.get(step.frame) ?? before)) refresh(step.frame, cells);
    seen.set(step.frame, changes);
    // Back in a call of the same function: its own values stand again, those that it has by now.
    if (step.frame !== frame && step.call === undefined)
      for (const cell of live.get(step.frame)?.values() ?? [])
        if (cell.value && cell.text !== "" && (standing.get(cell.column.key) ?? "") !== cell.text) show(cells, cell);
    frame = step.frame;
    for (const name of step.ended ?? []) {
      const cell = live.get(step.frame)?.get(name);
      if (cell) cell.value = null;
    }
    const row = rowOf(step, cells, chosen);
    if (step.call !== undefined) row.arguments = argumentsOf(step, store);
    if (step.returned !== undefined) row.returned = textOf(store, step.returned);
    rows.push(row);
  }
  const all = [...columns.values()];
  const shown = chosen ? all.filter((column) => chosen.has(column.key)) : all;
  return {
    columns: shown,
    rows: options.rows === "change" ? rows.filter(isChange) : rows,
    ...(trace.cut === undefined ? {} : { cut: trace.cut }),
  };
}

/** Whether a row tells something: a change, something printed or typed in, a decision, what a function gives back. */
export function isChange(row: TableRow): boolean {
  return (
    Object.keys(row.cells).length > 0 ||
    row.returned !== undefined ||
    row.output !== "" ||
    row.raised !== undefined ||
    row.condition !== undefined ||
    row.input !== undefined
  );
}

/** What a function is given where it is entered: the values that its own names get there, in their order. */
function argumentsOf(step: Step, store: ReturnType<typeof createObjectStore>): string[] {
  return step.writes
    .filter((write) => write.scope === "frame" && write.owner === step.frame && write.path.length === 1)
    .map((write) => textOf(store, write.value))
    .filter((text) => text !== "");
}

/** Whether a table's rows go into calls, beside the function that the program starts with. */
export function hasCalls(table: Pick<TraceTable, "rows">): boolean {
  return table.rows.some((row) => row.depth > 0);
}

/** What the column of calls shows in a row: `load(3)` where a function is entered, what it gives back where it ends. */
export function callCell({ call, arguments: given = [], returned }: TableRow): string {
  return [
    call === undefined ? "" : `${call}(${given.join(", ")})`,
    returned === undefined ? "" : `gives back ${returned}`,
  ]
    .filter((part) => part !== "")
    .join(" ");
}

function rowOf(step: Step, cells: Record<string, string>, chosen: ReadonlySet<string> | null): TableRow {
  const own = chosen ? Object.fromEntries(Object.entries(cells).filter(([key]) => chosen.has(key))) : cells;
  return {
    step: step.index,
    line: step.line,
    file: step.file,
    depth: step.depth,
    cells: own,
    output: step.out ?? "",
    ...(step.call === undefined ? {} : { call: step.call }),
    ...(step.raised === undefined ? {} : { raised: `${step.raised.errorName}: ${step.raised.message}` }),
    ...(step.in === undefined ? {} : { input: step.in }),
    ...(step.unseen === undefined ? {} : { unseen: step.unseen }),
  };
}

/** Whether anything was typed in while the table's rows ran. */
export function hasInput(table: Pick<TraceTable, "rows">): boolean {
  return table.rows.some((row) => row.input !== undefined);
}

/** What was typed in, without its last line end; "" where nothing was. */
export function inputCell({ input = "" }: Pick<TableRow, "input">): string {
  return input.replace(/\n$/, "");
}
