import { createElementColumns, type Positions } from "./elementColumns.ts";
import type { TableColumn } from "./tableColumn.ts";
import { asRecorded, type ValueStyle } from "./tableStyle.ts";
import type { Step, Trace, Value } from "./trace.ts";
import { createValueWriter, type ValueWriter } from "./valueWriter.ts";

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
  className?: string;
  arguments?: readonly string[];
  /** Which of the arguments is the object whose method it is, from 0; and the name that it is known by, if it has one. */
  own?: number;
  ownName?: string;
  returned?: string;
  raised?: string;
  /** What a decision of the line came to, with what was not looked at; and in which passes of loops the row is (`2.3`). */
  condition?: string;
  pass?: string;
  cells: Readonly<Record<string, string>>;
  /** Values that stand again when the row is about to run: those of an outer call of the same function. */
  again?: Readonly<Record<string, string>>;
  /** Of cells that tell more than their value's name: the name; and what the objects hold that the row tells of, by their names. */
  short?: Readonly<Record<string, string>>;
  objects?: Readonly<Record<string, string>>;
  output: string;
  input?: string;
  /** What is left of the typed input behind the row. */
  waiting?: string;
  /** The end of `output` that never reached the screen. */
  unseen?: string;
};

/** `remarks` are said as its last rows: of its loops (one never entered, one that goes round for ever), and of what is too much to be shown. */
export type TraceTable = { columns: TableColumn[]; rows: TableRow[]; cut?: string; remarks?: string[] };

/** What a table is made of: the recorded steps, and in words what is missing. */
export type TraceSteps = Pick<Trace, "steps" | "cut"> & Partial<Trace>;

type Cell = { column: TableColumn; value: Value | null; text: string };

/** What is said under a table with values that hold more than is written. */
const valuesCut = "Some values hold more than a cell can show: where one ends in “…”, it goes on.";

/** What stands in a cell of a name that is no more. */
export const gone = "(gone)";

/** What stands in a cell: blank where there is no value yet. */
const textOf = (value: Value | null, write: (value: Value) => string, isUnset: ValueWriter["isUnset"]): string => {
  if (value === null) return gone;
  return isUnset(value) ? "" : write(value);
};

/** Names that stand for something in every record of cells, also in one that holds none. */
const inEveryRecord: ReadonlySet<string> = new Set(Object.getOwnPropertyNames(Object.prototype));

/** The column of a variable; `functionName` undefined for one of the program. */
function columnOf(title: string, of: CalledFunction | undefined): TableColumn {
  if (of === undefined) return { key: inEveryRecord.has(title) ? `name ${title}` : title, title, scope: "global" };
  const { name: functionName, className, isOneOfSeveral } = of;
  const key = isOneOfSeveral ? `${className ?? ""}.${functionName}.${title}` : `${functionName}.${title}`;
  return { key, title, scope: "function", functionName, ...(className === undefined ? {} : { className }) };
}

/** The function of a call; whether methods of other classes that run have its name. */
type CalledFunction = { name: string; className?: string; isOneOfSeveral?: boolean };

/** Names of functions that methods of several classes have in a run. */
function namesOfSeveral(steps: readonly Step[]): ReadonlySet<string> {
  const classes = new Map<string, Set<string>>();
  for (const { call, className } of steps) {
    if (call === undefined) continue;
    const of = classes.get(call) ?? new Set();
    classes.set(call, of.add(className ?? ""));
  }
  return new Set([...classes].filter(([, of]) => of.size > 1).map(([name]) => name));
}

/** What a table is made with; values as they were recorded, and a column for each whole variable, where nothing is said. */
export type TableOptions = {
  rows?: "line" | "change";
  /** Keys of the variables that are shown. */
  columns?: readonly string[];
  style?: ValueStyle;
  /** Keys of the variables that have a column for each part, and how positions are named. */
  elements?: readonly string[];
  positions?: Positions;
};

/**
 * The trace table of a recorded run: a column per variable in the order of the first value, an output column, blank
 * where nothing changed. A variable of a function has one column for all its calls. An object shows what it holds in
 * every column of the program and of the call whose line ran; a call that waits shows what was changed meanwhile when it
 * goes on. `columns` limits and orders the variables by key.
 */
export function buildTable(trace: TraceSteps, options: TableOptions = {}): TraceTable {
  const writer = createValueWriter(trace.steps, options.style ?? asRecorded);
  const short = (value: Value | null) => textOf(value, writer.short, writer.isUnset);
  const elements = createElementColumns(new Set(options.elements), (value) => short(value), options.positions);
  const severalClasses = namesOfSeveral(trace.steps);
  const columns = new Map<string, TableColumn>();
  const frameNames = new Map<number, CalledFunction>();
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

  type RowCells = { cells: Record<string, string>; short: Record<string, string> };

  /** Shows a cell in a row: `tells` what is to be told of its value, else by what it is known. */
  function show(row: RowCells, { column, value, text }: Cell, tells = false): void {
    standing.set(column.key, text);
    if (text !== "" && !columns.has(column.key)) columns.set(column.key, column);
    if (elements.has(column.key)) {
      const whole = value && !writer.isUnset(value) ? writer.whole(value) : null;
      if (chosen === null || chosen.has(column.key)) Object.assign(row.cells, elements.cellsOf(column, whole));
      return;
    }
    if (chosen !== null && !chosen.has(column.key)) return;
    const shown = tells && value && text !== "" ? writer.tell(value) : text;
    row.cells[column.key] = shown;
    if (shown !== text) row.short[column.key] = text;
  }

  /** Everything of an owner that holds others is written again. */
  function refresh(owner: number, row: RowCells): void {
    for (const cell of live.get(owner)?.values() ?? []) {
      if (!cell.value || cell.value.text !== undefined) continue;
      const text = short(cell.value);
      const isNew = text !== cell.text;
      cell.text = text;
      if (isNew || elements.has(cell.column.key) || writer.hasNews(cell.value)) show(row, cell, true);
    }
  }

  /** What of a call of the same function stands again, before its line goes on. */
  function standsAgain(step: Step): Record<string, string> {
    if (step.frame === frame || step.call !== undefined) return {};
    const again: Record<string, string> = {};
    for (const { column, value, text } of live.get(step.frame)?.values() ?? [])
      if (value && text !== "" && (standing.get(column.key) ?? text) !== text) again[column.key] = text;
    return again;
  }

  for (const step of trace.steps) {
    if (step.call !== undefined)
      frameNames.set(step.frame, {
        ...{ name: step.call, isOneOfSeveral: severalClasses.has(step.call) },
        ...(step.className === undefined ? {} : { className: step.className }),
      });
    const shown: RowCells = { cells: {}, short: {} };
    const before = changes;
    const again = standsAgain(step);
    /** Cells that the step writes, with what they showed before it: told when all that it writes is known. */
    const written = new Map<string, { cell: Cell; former: string }>();
    for (const write of step.writes) {
      writer.apply(write);
      if (write.scope === "object") {
        changes += 1;
        continue;
      }
      const name = String(write.path[0]);
      const own = live.get(write.owner) ?? new Map<string, Cell>();
      live.set(write.owner, own);
      const at = write.scope === "global" ? undefined : (frameNames.get(write.owner) ?? { name: "?" });
      const column = columnOf(name, at);
      const former = written.get(column.key)?.former ?? own.get(name)?.text ?? "";
      const cell = { column, value: write.value, text: "" };
      own.set(name, cell);
      written.set(column.key, { cell, former });
    }
    for (const { cell, former } of written.values()) {
      cell.text = short(cell.value);
      if (cell.text !== former && (cell.value !== null || former !== "")) show(shown, cell, true);
    }
    // A change is told where it is made, in the call's own columns; cells stand in the order of the columns.
    const own: RowCells = { cells: {}, short: {} };
    if (changes !== (seen.get(step.frame) ?? before)) refresh(step.frame, own);
    if (changes !== before && step.frame !== 0) refresh(0, shown);
    Object.assign(shown.cells, own.cells);
    Object.assign(shown.short, own.short);
    seen.set(step.frame, changes);
    // Back in a call of the same function: its own values stand again, those that it has by now.
    if (step.frame !== frame && step.call === undefined)
      for (const cell of live.get(step.frame)?.values() ?? [])
        if (cell.value && cell.text !== "" && (standing.get(cell.column.key) ?? "") !== cell.text) show(shown, cell);
    frame = step.frame;
    for (const name of step.ended ?? []) {
      const cell = live.get(step.frame)?.get(name);
      if (cell) cell.value = null;
    }
    const row = rowOf(step, shown.cells);
    if (Object.keys(again).length > 0) row.again = again;
    if (Object.keys(shown.short).length > 0) row.short = shown.short;
    if (step.call !== undefined)
      Object.assign(row, argumentsOf(step, short, (options.style ?? asRecorded).objects === "named"));
    if (step.returned !== undefined) row.returned = short(step.returned);
    const objects = writer.told();
    if (Object.keys(objects).length > 0) row.objects = objects;
    rows.push(row);
  }
  const all = [...columns.values()].filter((column) => chosen === null || chosen.has(column.key));
  const remarks = [...elements.remarks(), ...(writer.isCut() ? [valuesCut] : [])];
  return {
    columns: all.flatMap((column) => (elements.has(column.key) ? elements.of(column.key) : [column])),
    rows: options.rows === "change" ? rows.filter(isChange) : rows,
    ...(trace.cut === undefined ? {} : { cut: trace.cut }),
    ...(remarks.length > 0 ? { remarks } : {}),
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

/** Names under which a method knows the object that it belongs to. */
const ownNames = new Set(["this", "self", "Self"]);

/** What a function is given where it is entered: the values that its own names get there, in their order; which is its object. */
function argumentsOf(
  step: Step,
  short: (value: Value | null) => string,
  named: boolean,
): Pick<TableRow, "arguments" | "own" | "ownName"> {
  const given = step.writes
    .filter((write) => write.scope === "frame" && write.owner === step.frame && write.path.length === 1)
    .map((write) => ({ name: String(write.path[0]), text: short(write.value) }))
    .filter(({ text }) => text !== "");
  const own = step.className === undefined ? -1 : given.findIndex(({ name }) => ownNames.has(name));
  return {
    arguments: given.map(({ text }) => text),
    ...(own < 0 ? {} : { own, ...(named ? { ownName: given[own]?.text ?? "" } : {}) }),
  };
}

/** Whether a table's rows go into calls, beside the function that the program starts with. */
export function hasCalls(table: Pick<TraceTable, "rows">): boolean {
  return table.rows.some((row) => row.depth > 0);
}

/** Whether a function makes an object of a class, by its name. */
export const isConstructor = (functionName: string, className: string | undefined): boolean =>
  functionName === "__init__" || functionName === className;

/**
 * What the column of calls shows in a row: `load(3)` where a function is entered, `Ferry 1.board(4)` for a method, `new Ferry("Tern")` for what makes an
 * object, and what it gives back where it ends.
 */
export function callCell({ call, className, arguments: all = [], own, ownName, returned }: TableRow): string {
  const given = all.filter((_, place) => place !== own);
  const makes = call !== undefined && isConstructor(call, className);
  const name = makes && className !== undefined ? `new ${className}` : ownName ? `${ownName}.${call}` : call;
  return [
    call === undefined ? "" : `${name}(${given.join(", ")})`,
    returned === undefined ? "" : `gives back ${returned}`,
  ]
    .filter((part) => part !== "")
    .join(" ");
}

function rowOf(step: Step, cells: Record<string, string>): TableRow {
  return {
    step: step.index,
    line: step.line,
    file: step.file,
    depth: step.depth,
    cells,
    output: step.out ?? "",
    ...(step.call === undefined ? {} : { call: step.call }),
    ...(step.className === undefined ? {} : { className: step.className }),
    ...(step.raised === undefined ? {} : { raised: `${step.raised.errorName}: ${step.raised.message}` }),
    ...(step.in === undefined ? {} : { input: step.in }),
    ...(step.unseen === undefined ? {} : { unseen: step.unseen }),
  };
}

/** Whether anything was typed in while the table's rows ran. */
export function hasInput(table: Pick<TraceTable, "rows">): boolean {
  return table.rows.some((row) => row.input !== undefined);
}

/** Whether anything is said of what waits of the typed input. */
export function hasWaiting(table: Pick<TraceTable, "rows">): boolean {
  return table.rows.some((row) => row.waiting !== undefined);
}

/** What was typed in, without its last line end; "" where nothing was. */
export function inputCell({ input = "" }: Pick<TableRow, "input">): string {
  return input.replace(/\n$/, "");
}
