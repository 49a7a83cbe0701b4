import type { TraceTable } from "../trace/table.ts";
import type { Trace } from "../trace/trace.ts";

type Writer = (table: TraceTable, trace: Trace) => string;

function grid(table: TraceTable): string[][] {
  const head = ["line", ...table.columns.map((column) => (column.functionName ? `${column.functionName}: ${column.title}` : column.title)), "output"];
  return [head, ...table.rows.map((row) => [String(row.line), ...table.columns.map((column) => row.cells[column.key] ?? ""), row.output.replace(/\n$/, "")])];
}

/** RFC 4180: a field with a comma, quote or line break is quoted, quotes are doubled. */
const csv: Writer = (table) =>
  grid(table)
    .map((row) => row.map((cell) => (/[",\r\n]/.test(cell) ? `"${cell.replaceAll('"', '""')}"` : cell)).join(","))
    .join("\r\n")
    .concat("\r\n");

/** A table in Markdown (GitHub Flavored Markdown, tables): bars and line breaks in cells are escaped. */
const markdown: Writer = (table) => {
  const rows = grid(table).map((row) => `| ${row.map((cell) => cell.replaceAll("|", "\\|").replaceAll("\n", "<br>")).join(" | ")} |`);
  const [head = "", ...body] = rows;
  return [head, `|${" --- |".repeat(table.columns.length + 2)}`, ...body].join("\n").concat("\n");
};

const json: Writer = (table, trace) => `${JSON.stringify({ table, trace }, null, 1)}\n`;

/** How a trace table can be written out, by the name used on the command line. */
export const traceFormats: Readonly<Record<string, Writer>> & { md: Writer } = { md: markdown, csv, json };
