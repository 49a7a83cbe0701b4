import { neverSeen } from "../../core/formats/traceFormats.ts";
import { callCell, hasCalls, hasInput, inputCell, type TraceTable } from "../../core/trace/table.ts";
import { TraceHead } from "./TraceHead.tsx";

/** A trace table like a ruled exercise-book page; `until` shows rows up to that many, the last one marked. */
export function TraceTableView({ table, until, caption }: { table: TraceTable; until?: number; caption: string }) {
  const rows = until === undefined ? table.rows : table.rows.slice(0, until);
  const typed = hasInput(table);
  const called = hasCalls(table);
  return (
    <table className="trace-table">
      <caption className="sr-only">{caption}</caption>
      <TraceHead columns={table.columns} input={typed} calls={called} />
      <tbody>
        {rows.map((row) => (
          <tr key={row.step}>
            <td className="text-graphite">{row.line}</td>
            {called && (
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
            {table.columns.map((column) => {
              const text = row.cells[column.key];
              return (
                <td key={column.key} className={text === undefined ? undefined : "changed"}>
                  {text}
                </td>
              );
            })}
            {typed && <td className={row.input === undefined ? undefined : "changed"}>{inputCell(row)}</td>}
            <td className={row.output ? "changed" : undefined}>
              {row.raised ?? row.output.replace(/\n$/, "")}
              {row.unseen !== undefined && (
                <span className="block max-w-28 whitespace-normal font-sans text-xs font-normal">{neverSeen}</span>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
