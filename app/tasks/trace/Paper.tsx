import type { TraceView } from "../../../core/exercises/traceTask.ts";
import { PrintedTraceTable } from "../../print/PrintPage.tsx";
import { PrintedRun } from "../shown.tsx";

/** Blank rows on paper where the number of rows is not to be told. */
const blankRows = 16;

/** The table with its given cells, ruled for the pen. */
export function Paper({ view }: { view: TraceView }) {
  const known = view.rows.map((row) => ({ line: String(row.line), cells: row.cells }));
  const blank = Array.from({ length: view.linesGiven ? 0 : blankRows }, () => ({ line: "", cells: {} }));
  return (
    <>
      <PrintedRun text={view.text} input={view.input} />
      <PrintedTraceTable table={{ columns: view.columns, rows: [...known, ...blank] }} />
    </>
  );
}
