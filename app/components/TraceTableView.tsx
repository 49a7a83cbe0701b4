import { memo } from "react";
import { neverSeen } from "../../core/formats/traceFormats.ts";
import { callCell, hasCalls, hasInput, inputCell, type TableRow, type TraceTable } from "../../core/trace/table.ts";
import { TraceHead, type TraceShows } from "./TraceHead.tsx";

/** The columns that a table has something for; decisions and passes where they are wanted. */
export function showsOf(table: Pick<TraceTable, "rows">, wanted: TraceShows = {}): TraceShows {
  return { ...wanted, input: hasInput(table), calls: hasCalls(table) };
}

/** A row of a trace table; `newest` is the one that ran last. */
export const TraceRow = memo(function TraceRow({
  row,
  columns,
  shows,
  newest = false,
  place,
}: {
  row: TableRow;
  columns: TraceTable["columns"];
  shows: TraceShows;
  newest?: boolean;
  /** Its number among all rows, from 1, where not all of them are drawn. */
  place?: number;
}) {
  return (
    <tr className={newest ? "newest" : undefined} aria-rowindex={place}>
      <td className="trace-line text-graphite">{row.line}</td>
      {shows.passes && <td className="text-graphite">{row.pass}</td>}
      {shows.calls && (
        <td className="font-sans text-sm whitespace-nowrap" data-depth={row.depth}>
          {/* How deep the call lies is seen by rules, and read out. */}
          {row.depth > 0 && <span className="sr-only">depth {row.depth}: </span>}
          <span aria-hidden="true" className="text-rule-strong">
            {"│ ".repeat(Math.min(row.depth, 8))}
            {row.depth > 8 && `${row.depth} `}
          </span>
          {callCell(row)}
        </td>
      )}
      {shows.conditions && <td className="font-sans text-sm">{row.condition}</td>}
      {columns.map((column) => {
        const text = row.cells[column.key];
        return (
          <td key={column.key} className={text === undefined ? undefined : "changed"}>
            {text}
          </td>
        );
      })}
      {shows.input && <td className={row.input === undefined ? undefined : "changed"}>{inputCell(row)}</td>}
      <td className={row.output ? "changed trace-output" : "trace-output"}>
        {row.raised ?? row.output.replace(/\n$/, "")}
        {row.unseen !== undefined && (
          <span className="block max-w-28 whitespace-normal font-sans text-xs font-normal">{neverSeen}</span>
        )}
      </td>
    </tr>
  );
});

/** A trace table like a ruled exercise-book page; `until` shows rows up to that many. */
export function TraceTableView({
  table,
  until,
  caption,
  wanted,
}: {
  table: TraceTable;
  until?: number;
  caption: string;
  wanted?: TraceShows;
}) {
  const rows = until === undefined ? table.rows : table.rows.slice(0, until);
  const shows = showsOf(table, wanted);
  return (
    <table className="trace-table">
      <caption className="sr-only">{caption}</caption>
      <TraceHead columns={table.columns} shows={shows} />
      <tbody>
        {rows.map((row) => (
          <TraceRow key={row.step} row={row} columns={table.columns} shows={shows} />
        ))}
      </tbody>
    </table>
  );
}
