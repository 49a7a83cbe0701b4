import { headingsOf, headingText } from "../trace/headings.ts";
import { callCell, hasInput, inputCell, type TableRow, type TraceTable } from "../trace/table.ts";
import type { MoreColumn } from "../trace/tableStyle.ts";
import type { Trace } from "../trace/trace.ts";
import { messageOf } from "../verdict/words.ts";
import { csvOf } from "./csv.ts";

type Writer = (table: TraceTable, trace: Trace, wanted?: readonly MoreColumn[]) => string;

/** What the columns show that a table has where they are wanted, between its variables and what was typed in. */
export const moreCells: Readonly<Record<MoreColumn, (row: TableRow) => string>> = {
  condition: (row) => row.condition ?? "",
  pass: (row) => row.pass ?? "",
  call: callCell,
  depth: (row) => String(row.depth),
  waiting: (row) => waitingCell(row.waiting),
};

/** What waits of the typed input: line ends are seen; "" in rows that read nothing. */
export function waitingCell(waiting: string | undefined): string {
  if (waiting === undefined) return "";
  return waiting === "" ? "nothing" : waiting.replaceAll("\n", "⏎");
}

/** The message of an error that nobody caught, as its tool says it; "" where none ended the run. */
export function uncaughtError({ outcome }: Pick<Trace, "outcome">): string {
  const primary = outcome.stoppedBy === "fault" ? outcome.diagnostics.find((each) => each.primary) : undefined;
  return primary ? messageOf(primary) : "";
}

/** Beside text that a program held back when it was stopped. */
export const neverSeen = "never reached the screen";

/** What stands in the cell of the output: without its last line end, and with a word where it was never seen. */
function outputCell({ output, unseen }: TableRow): string {
  const text = output.replace(/\n$/, "");
  return unseen === undefined ? text : `${text.trimEnd()} (${neverSeen})`;
}

/** The table as cells; what ended the run stands in the last row of a line, where the output does. */
function grid(table: TraceTable, trace: Pick<Trace, "outcome">, wanted: readonly MoreColumn[] = []): string[][] {
  const error = uncaughtError(trace);
  const typed = hasInput(table);
  const head = [
    "line",
    ...headingsOf(table.columns).map(headingText),
    ...wanted,
    ...(typed ? ["input"] : []),
    "output",
  ];
  // What is said of its loops and recursions stands in rows of its own behind the others.
  const last = (table.remarks ?? []).map((remark) => [...head.slice(1).map(() => ""), remark]);
  return [
    head,
    ...table.rows.map((row, index) => [
      String(row.line),
      ...table.columns.map((column) => row.cells[column.key] ?? ""),
      ...wanted.map((name) => moreCells[name](row)),
      ...(typed ? [inputCell(row)] : []),
      [outputCell(row), index === table.rows.length - 1 ? error : ""].filter((part) => part !== "").join("\n"),
    ]),
    ...last,
  ];
}

/** As comma-separated values. */
const csv: Writer = (table, trace, wanted) => csvOf(grid(table, trace, wanted));

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
const markdown: Writer = (table, trace, wanted) => {
  const cells = grid(table, trace, wanted);
  const [head = "", ...body] = cells.map((row) => `| ${row.map(plainCell).join(" | ")} |`);
  return [head, `|${" --- |".repeat(cells[0]?.length ?? 0)}`, ...body].join("\n").concat("\n");
};

const json: Writer = (table, trace) => `${JSON.stringify({ table, trace }, null, 1)}\n`;

/** How a trace table can be written out, by the name used on the command line. */
export const traceFormats: Readonly<Record<string, Writer>> & { md: Writer } = { md: markdown, csv, json };
