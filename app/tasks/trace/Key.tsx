import type { TraceKey } from "../../../core/exercises/traceTask.ts";
import { PrintedTraceTable } from "../../print/PrintPage.tsx";

/** The filled table. */
export function Key({ ownKey }: { ownKey: TraceKey }) {
  const rows = ownKey.rows.map((row, at) => ({
    line: String(row.line),
    cells: { ...ownKey.repeated?.[at], ...row.cells },
  }));
  return <PrintedTraceTable table={{ columns: ownKey.columns, rows }} />;
}
