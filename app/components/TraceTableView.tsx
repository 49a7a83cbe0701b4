import { memo, useMemo } from "react";
import { neverSeen, waitingCell } from "../../core/formats/traceFormats.ts";
import { repeatedCells } from "../../core/trace/repeatUnchanged.ts";
import { callCell, hasCalls, hasInput, inputCell, type TableRow, type TraceTable } from "../../core/trace/table.ts";
import type { TableStyle } from "../../core/trace/tableStyle.ts";
import { TraceHead, type TraceShows } from "./TraceHead.tsx";

/** The columns that a table has something for; others where they are wanted. */
export function showsOf(table: Pick<TraceTable, "rows">, wanted: TraceShows = {}): TraceShows {
  return { input: hasInput(table), call: hasCalls(table), ...wanted };
}

/** The columns that a style wants beside those that a table has something for. */
export function wantedBy({ columns }: Pick<TableStyle, "columns">): TraceShows {
  return Object.fromEntries(columns.map((name) => [name, true]));
}

/** What stands in unchanged cells, a row each, where they are repeated; null where they are blank. */
export function useRepeated(table: TraceTable, unchanged: "blank" | "repeated"): Array<Record<string, string>> | null {
  return useMemo(() => (unchanged === "repeated" ? repeatedCells(table) : null), [table, unchanged]);
}

/** A row of a trace table; `newest` is the one that ran last. */
export const TraceRow = memo(function TraceRow({
  row,
  columns,
  shows,
  newest = false,
  place,
  repeated,
}: {
  row: TableRow;
  columns: TraceTable["columns"];
  shows: TraceShows;
  newest?: boolean;
  /** Its number among all rows, from 1, where not all of them are drawn. */
  place?: number;
  /** What stands in the cells of what does not change. */
  repeated?: Readonly<Record<string, string>> | undefined;
}) {
  return (
    <tr className={newest ? "newest" : undefined} aria-rowindex={place}>
      <td className="trace-line text-graphite">{row.line}</td>
      {shows.pass && <td className="text-graphite">{row.pass}</td>}
      {shows.depth && <td className="text-graphite">{row.depth}</td>}
      {shows.call && (
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
      {shows.condition && <td className="font-sans text-sm">{row.condition}</td>}
      {columns.map((column) => {
        const text = row.cells[column.key];
        return (
          <td key={column.key} className={text === undefined ? "text-graphite" : "changed"}>
            {text ?? repeated?.[column.key]}
          </td>
        );
      })}
      {shows.input && <td className={row.input === undefined ? undefined : "changed"}>{inputCell(row)}</td>}
      {shows.waiting && <td className="text-graphite">{waitingCell(row.waiting)}</td>}
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
  unchanged = "blank",
}: {
  table: TraceTable;
  until?: number;
  caption: string;
  wanted?: TraceShows;
  unchanged?: "blank" | "repeated";
}) {
  const rows = until === undefined ? table.rows : table.rows.slice(0, until);
  const repeated = useRepeated(table, unchanged);
  const shows = showsOf(table, wanted);
  return (
    <table className="trace-table">
      <caption className="sr-only">{caption}</caption>
      <TraceHead columns={table.columns} shows={shows} />
      <tbody>
        {rows.map((row, at) => (
          <TraceRow key={row.step} row={row} columns={table.columns} shows={shows} repeated={repeated?.[at]} />
        ))}
      </tbody>
    </table>
  );
}
