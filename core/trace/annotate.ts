import type { Language } from "../languages/language.ts";
import { type Decision, decisionsOf } from "./conditions.ts";
import { readSteps } from "./inputStream.ts";
import { recursionRemarks } from "./levels.ts";
import { loopRemarks } from "./loopRemarks.ts";
import { type PassOf, passesOf, passText } from "./passes.ts";
import { positionsOf } from "./positions.ts";
import { byPass } from "./rowsByPass.ts";
import { buildTable, isChange, type TableOptions, type TraceTable } from "./table.ts";
import type { RowPolicy } from "./tableStyle.ts";
import type { Trace } from "./trace.ts";

/**
 * What a readable table is made with; `input` is all that is typed in, where what waits of it is to be seen. `loop` is the line of the
 * loop's header whose passes have a row each; the innermost ones where none is said.
 */
export type ReadableOptions = Omit<TableOptions, "rows" | "positions"> & {
  rows?: RowPolicy;
  input?: string;
  loop?: number;
};

/** The trace table of a recorded run of a program in a language, with its decisions and passes, in the rows that are wanted. */
export function readableTable(
  language: Language,
  text: string,
  trace: Trace,
  options: ReadableOptions = {},
): TraceTable {
  const { rows, input, loop, ...wanted } = options;
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
  if (rows === "pass") return byPass(trace, table, told.passes, loop);
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
