import { boxOfLine } from "../../core/flowcharts/chart.ts";
import type { PlacedChart } from "../../core/flowcharts/layout.ts";
import { chartTitle } from "../case/ChartLeaf.tsx";
import { ChartView } from "../components/ChartView.tsx";

/** A row as far as a chart needs it: its line, how deep its call lies, and whether the call comes back on it. */
type ChartRow = { line: number; depth: number; resumes?: boolean };

/** True if a line runs for the first time since its part of the program was entered: a counted loop begins there. */
function isFirst(rows: readonly ChartRow[], at: number): boolean {
  const row = rows[at];
  if (!row) return false;
  for (let before = at - 1; before >= 0; before--) {
    const each = rows[before];
    if (!each || each.depth < row.depth) return true;
    if (each.depth === row.depth && each.line === row.line) return false;
  }
  return true;
}

/** The chart of the part of the program in which a dry run stands, with the nib on the box that is about to be gone through. */
export function DryRunChart({
  charts,
  rows,
  done,
}: {
  charts: readonly PlacedChart[];
  rows: readonly ChartRow[];
  done: number;
}) {
  const row = rows[done];
  const [main] = charts;
  const found = row
    ? charts
        .map((chart) => ({ chart, box: boxOfLine(chart, row.line, isFirst(rows, done)) }))
        .find(({ box }) => box !== null)
    : main && { chart: main, box: main.boxes.at(-1)?.id ?? null };
  const chart = found?.chart ?? main;
  if (!chart) return <p>Nothing is drawn of this program.</p>;
  const box = chart.boxes.find(({ id }) => id === found?.box);
  return (
    <section className="leaf grid gap-2 p-3" aria-label="The flowchart">
      {charts.length > 1 && <h2 className="text-lg">{chartTitle(chart.name)}</h2>}
      <div className="max-h-[70vh] overflow-auto" tabIndex={0}>
        <ChartView chart={chart} title={`Flowchart: ${chartTitle(chart.name)}`} standing={found?.box ?? null} />
      </div>
      <p className="note-small" role="status">
        {box ? `At the box: ${box.text.replaceAll("\n", "; ")}` : "The line has no box of its own."}
      </p>
    </section>
  );
}
