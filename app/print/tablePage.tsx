import { data } from "react-router";
import { readHandTable } from "../../core/trace/handTable.ts";
import { findCase } from "../../server/cases/caseStore.ts";
import { caseView } from "../case/caseView.ts";
import { rowsSchema } from "../case/traceView.ts";
import type { Route } from "./+types/tablePage.ts";
import { PrintedProgram, PrintedTraceTable, PrintPage } from "./PrintPage.tsx";

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
      unchanged: "blank" as const,
    };
  if (!view.trace)
    throw data("This program is not run here, so there is no table to print. Write its columns under Table first.", {
      status: 409,
    });
  const input = view.checks.find((check) => check.key === view.trace?.check)?.input ?? "";
  return {
    title: view.title,
    input,
    lines: view.trace.lines,
    columns: view.trace.table.columns,
    unchanged: view.trace.style.unchanged,
    count: Math.min(most, view.trace.total),
  };
}

export default function PrintTable({ loaderData }: Route.ComponentProps) {
  const { title, lines, columns, count, input, unchanged } = loaderData;
  return (
    <PrintPage
      title={`Trace table: ${title}`}
      under={unchanged === "repeated" ? "Write every value in every row." : "Write a value only where it changes."}
    >
      <PrintedProgram lines={lines} />
      {input && <p>Typed in: {input.trim().split("\n").join(" / ")}</p>}
      <PrintedTraceTable table={{ columns, rows: Array.from({ length: count }, () => ({ line: "", cells: {} })) }} />
    </PrintPage>
  );
}
