import { data } from "react-router";
import { moreCells } from "../../core/formats/traceFormats.ts";
import { hasConditions, hasPasses } from "../../core/trace/annotate.ts";
import { readHandTable } from "../../core/trace/handTable.ts";
import { withRepeated } from "../../core/trace/repeatUnchanged.ts";
import { hasCalls, hasInput, inputCell, type TableRow, type TraceTable } from "../../core/trace/table.ts";
import { type MoreColumn, moreColumnNames } from "../../core/trace/tableStyle.ts";
import { findCase } from "../../server/cases/caseStore.ts";
import { caseView } from "../case/caseView.ts";
import { rowsSchema } from "../case/traceView.ts";
import type { Route } from "./+types/tablePage.ts";
import { PrintedProgram, PrintedTraceTable, PrintPage } from "./PrintPage.tsx";
import { givens, partFilled } from "./partFilled.ts";

export const meta: Route.MetaFunction = () => [{ title: "Blank trace table, for print" }];

/** Most rows of a blank table on paper. */
const most = 60;
/** Rows of a blank table whose key is not written yet. */
const blank = 16;

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const found = await findCase(context.services.database, params.caseKey);
  if (!found) throw data("There is no such case.", { status: 404 });
  const query = new URL(request.url).searchParams;
  const view = await caseView(context.services, found, {
    leaf: "trace",
    check: query.get("check"),
    version: query.get("version"),
    rows: rowsSchema.parse(query.get("rows")),
    from: 0,
  });
  const byHand = readHandTable(found.hand_table);
  if (!view.trace && byHand.ok)
    return {
      ...{ title: view.title, input: "", lines: view.lines, count: Math.min(most, byHand.table.rows.length || blank) },
      columns: byHand.table.columns.map((name) => ({ key: name, title: name })),
      ...{ unchanged: "blank" as const, rows: null, recorded: false, remarks: [] },
    };
  if (!view.trace)
    throw data("This program is not run here, so there is no table to print. Write its columns under Table first.", {
      status: 409,
    });
  const input = view.checks.find((check) => check.key === view.trace?.check)?.input ?? "";
  const { table, style, lines, total } = view.trace;
  const isFilled = query.get("filled") !== null;
  const given = givens.find((each) => each === query.get("given")) ?? "nothing";
  const more = moreColumnNames.filter((name) => style.columns.includes(name) || (isFilled && hasMore[name](table)));
  const filled = style.unchanged === "repeated" ? withRepeated(table) : table;
  return {
    ...{ title: view.title, input, lines, unchanged: style.unchanged },
    columns: [
      ...more.map((name) => ({ key: ` ${name}`, title: name === "depth" ? "in" : name })),
      ...table.columns,
      ...(isFilled && hasInput(table) ? [{ key: " input", title: "input" }] : []),
    ],
    count: Math.min(most, total),
    rows: isFilled
      ? filled.rows.slice(0, mostFilled).map((row) => printedRow(row, more))
      : given === "nothing"
        ? null
        : partFilled(
            filled.rows.slice(0, most).map((row) => printedRow(row, more)),
            given,
          ),
    recorded: isFilled,
    remarks: isFilled ? [...(table.remarks ?? []), ...leftOut(total)] : [],
  };
}

/** Rows of a filled table on paper. */
const mostFilled = 400;
const leftOut = (total: number) => (total > mostFilled ? [`The first ${mostFilled} of ${total} rows.`] : []);

/** Whether a table has something for a column beside its variables. */
const hasMore: Readonly<Record<MoreColumn, (table: Pick<TraceTable, "rows">) => boolean>> = {
  ...{ condition: hasConditions, pass: hasPasses, call: hasCalls },
  ...{ depth: () => false, waiting: () => false },
};

/** A row with its line, the columns beside the variables under their names with a blank before, and its output. */
function printedRow(row: TableRow, more: readonly MoreColumn[]): { line: string; cells: Record<string, string> } {
  const beside = Object.fromEntries(more.map((name) => [` ${name}`, moreCells[name](row)]));
  const output = row.raised ?? row.output.replace(/\n$/, "");
  return { line: String(row.line), cells: { ...beside, ...row.cells, " input": inputCell(row), output } };
}

export default function PrintTable({ loaderData }: Route.ComponentProps) {
  const { title, lines, columns, count, input, unchanged, rows, recorded, remarks } = loaderData;
  const blankUnder =
    unchanged === "repeated" ? "Write every value in every row." : "Write a value only where it changes.";
  return (
    <PrintPage title={`Trace table: ${title}`} under={recorded ? "The recorded run." : blankUnder}>
      <PrintedProgram lines={lines} />
      {input && <p>Typed in: {input.trim().split("\n").join(" / ")}</p>}
      <PrintedTraceTable
        table={{ columns, rows: rows ?? Array.from({ length: count }, () => ({ line: "", cells: {} })) }}
      />
      {remarks.map((remark) => (
        <p key={remark}>{remark}</p>
      ))}
    </PrintPage>
  );
}
