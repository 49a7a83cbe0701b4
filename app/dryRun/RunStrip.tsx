import { memo } from "react";
import type { TableRow } from "../../core/trace/table.ts";

/** Marks on the strip at most; of more each place keeps one. */
const places = 600;

/** Where something is on the strip, as places from 0 to `places`, each once. */
function marksOf(rows: readonly TableRow[], has: (row: TableRow) => boolean): number[] {
  const found = new Set<number>();
  for (const [at, row] of rows.entries()) if (has(row)) found.add(Math.round(((at + 1) / rows.length) * places));
  return [...found];
}

type Marked = {
  rows: readonly TableRow[] /** The key of the column whose changes are marked; "" for none. */;
  watched: string;
};

/** The marks of a run, drawn anew only where another variable is watched. */
const Marks = memo(function Marks({ rows, watched }: Marked) {
  const marks = (kind: string, from: number, to: number, has: (row: TableRow) => boolean) =>
    marksOf(rows, has).map((at) => (
      <line key={`${kind} ${at}`} x1={at} x2={at} y1={from} y2={to} stroke="currentColor" />
    ));
  return (
    <svg
      viewBox={`0 0 ${places} 24`}
      preserveAspectRatio="none"
      className="block h-6 w-full text-ink"
      aria-hidden="true"
    >
      <line x1={0} x2={places} y1={12} y2={12} stroke="currentColor" strokeWidth={0.5} />
      {watched !== "" && marks("changed", 2, 12, (row) => watched in row.cells)}
      {marks("printed", 12, 22, (row) => row.output !== "")}
      {marks("raised", 0, 24, (row) => row.raised !== undefined)}
    </svg>
  );
});

/**
 * The whole run as a narrow strip: above the line where a variable that is watched changed, below it where something was printed, a
 * long mark where an error was raised. The slider goes anywhere.
 */
export function RunStrip({ rows, done, watched, onGo }: Marked & { done: number; onGo: (done: number) => void }) {
  return (
    <div className="leaf px-3 py-2">
      <Marks rows={rows} watched={watched} />
      <input
        type="range"
        className="w-full"
        min={0}
        max={rows.length}
        value={done}
        aria-label="Rows that have run"
        onChange={(event) => onGo(Number(event.target.value))}
      />
    </div>
  );
}
