import type { TraceTable } from "../trace/table.ts";
import type { Trace } from "../trace/trace.ts";

type Writer = (table: TraceTable, trace: Trace) => string;

function grid(table: TraceTable): string[][] {
  const head = [
    "line",
    ...table.columns.map((column) => (column.functionName ? `${column.functionName}: ${column.title}` : column.title)),
    "output",
  ];
  return [
    head,
    ...table.rows.map((row) => [
      String(row.line),
      ...table.columns.map((column) => row.cells[column.key] ?? ""),
      row.output.replace(/\n$/, ""),
    ]),
  ];
}

/**
 * A cell that a spreadsheet would take for a formula gets an apostrophe before it, which makes it text there; numbers
 * stay numbers. Signs by which programs begin a formula: OWASP, "CSV Injection".
 */
function noFormula(cell: string): string {
  return /^[=+\-@\t\r]/.test(cell) && !/^[-+]?\d+(?:\.\d+)?(?:[eE][-+]?\d+)?$/.test(cell) ? `'${cell}` : cell;
}

/** RFC 4180: a field with a comma, quote or line break is quoted, quotes are doubled. */
const csv: Writer = (table) =>
  grid(table)
    .map((row) =>
      row
        .map((cell) => noFormula(cell))
        .map((cell) => (/[",\r\n]/.test(cell) ? `"${cell.replaceAll('"', '""')}"` : cell))
        .join(","),
    )
    .join("\r\n")
    .concat("\r\n");

/** A cell in which nothing is markup but the line breaks: what a program printed is shown and does nothing. */
function plainCell(cell: string): string {
  return cell
    .replaceAll("&", "&amp;")
    .replaceAll("<", "&lt;")
    .replaceAll("](", "]\\(")
    .replaceAll("|", "\\|")
    .replace(/\r\n|\r|\n/g, "<br>");
}

/** A table in Markdown (GitHub Flavored Markdown, tables). */
const markdown: Writer = (table) => {
  const rows = grid(table).map((row) => `| ${row.map(plainCell).join(" | ")} |`);
  const [head = "", ...body] = rows;
  return [head, `|${" --- |".repeat(table.columns.length + 2)}`, ...body].join("\n").concat("\n");
};

const json: Writer = (table, trace) => `${JSON.stringify({ table, trace }, null, 1)}\n`;

/** How a trace table can be written out, by the name used on the command line. */
export const traceFormats: Readonly<Record<string, Writer>> & { md: Writer } = { md: markdown, csv, json };
