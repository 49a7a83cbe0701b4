import type { TableRow } from "../../core/trace/table.ts";

/** Marks on the strip at most; of more each place keeps one. */
const places = 600;

/** Where something is on the strip, as places from 0 to `places`, each once. */
function marksOf(rows: readonly TableRow[], has: (row: TableRow) => boolean): number[] {
  const found = new Set<number>();
  for (const [at, row] of rows.entries()) if (has(row)) found.add(Math.round(((at + 1) / rows.length) * places));
  return [...found];
}

/**
 * The whole run as a narrow strip: above the line where a variable that is watched changed, below it where something was printed, a
 * cross where an error was raised. The slider goes anywhere.
 */
export function RunStrip({
  rows,
  done,
  watched,
  onGo,
}: {
  rows: readonly TableRow[];
  done: number;
  /** The key of the column whose changes are marked; "" for none. */
  watched: string;
  onGo: (done: number) => void;
}) {
  const marks = (kind: string, found: readonly number[], from: number, to: number) =>
    found.map((at) => <line key={`${kind} ${at}`} x1={at} x2={at} y1={from} y2={to} stroke="currentColor" />);
  return (
    <div className="leaf px-3 py-2">
      <svg
        viewBox={`0 0 ${places} 24`}
        preserveAspectRatio="none"
        className="block h-6 w-full text-ink"
        aria-hidden="true"
      >
        <line x1={0} x2={places} y1={12} y2={12} stroke="currentColor" strokeWidth={0.5} />
        {watched !== "" &&
          marks(
            "changed",
            marksOf(rows, (row) => watched in row.cells),
            2,
            12,
          )}
        {marks(
          "printed",
          marksOf(rows, (row) => row.output !== ""),
          12,
          22,
        )}
        {marks(
          "raised",
          marksOf(rows, (row) => row.raised !== undefined),
          0,
          24,
        )}
      </svg>
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
