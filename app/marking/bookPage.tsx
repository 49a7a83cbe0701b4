import { data, Form, Link, useSearchParams } from "react-router";
import { sharesOf } from "../../core/formats/markBookCsv.ts";
import { sittingsToMarkAgain } from "../../server/marks/marking.ts";
import { type BookTable as BookTableData, markBook } from "../../server/results/markBook.ts";
import { findSheet } from "../../server/sheets/sheetStore.ts";
import type { HandInReceipt } from "../../server/sittings/receipt.ts";
import { act } from "../actions.ts";
import { useReadAgainWhile } from "../components/useReadAgainWhile.ts";
import { SheetPlaces } from "../sheets/SheetPlaces.tsx";
import type { Route } from "./+types/bookPage.ts";
import { markSheetAgain } from "./actions/markAgain.ts";

export const meta: Route.MetaFunction = () => [{ title: "Mark book · Bent Nail" }];

export async function loader({ params, context }: Route.LoaderArgs) {
  const { database } = context.services;
  const sheet = await findSheet(database, params.sheetKey);
  if (!sheet) throw data("There is no such sheet.", { status: 404 });
  const { tables, editions } = await markBook(context.services, sheet);
  const again = (await sittingsToMarkAgain(context.services, sheet.key)).length;
  return { sheet, wording: sheet.wording, again, tables, editions };
}

type Filter = { words: string; shows: (row: BookTableData["rows"][number]) => boolean };
const everybody: Filter = { words: "everybody", shows: () => true };
/** Which rows of a mark book are shown, by their name in its address. */
const filters: Readonly<Record<string, Filter>> = {
  all: everybody,
  waiting: { words: "who waits for my marks", shows: (row) => row.waiting > 0 || row.marking !== null },
  in: { words: "who has handed in", shows: (row) => row.state === "handed in" },
  missing: { words: "who has not handed in", shows: (row) => row.state !== "handed in" },
};

export async function action({ params, request, context }: Route.ActionArgs) {
  return act([markSheetAgain], request, { services: context.services, sheet: params.sheetKey });
}

export default function MarkBook({ loaderData }: Route.ComponentProps) {
  const { sheet, tables, editions, again } = loaderData;
  const [search, setSearch] = useSearchParams();
  const shown = Object.keys(filters).find((id) => id === search.get("show")) ?? "all";
  const waiting = tables.flatMap(({ rows }) => rows).reduce((sum, row) => sum + row.waiting, 0);
  const working = tables.flatMap(({ rows }) => rows).filter((row) => row.marking === "being marked").length;
  const canMarkAgain = again > 0 && working === 0;
  useReadAgainWhile(working > 0);
  return (
    <div className="grid gap-3">
      <header className="flex flex-wrap items-baseline gap-4">
        <h1>Mark book: {sheet.title}</h1>
        <span className="note-small">
          {sheet.course_name} · {sheet.released_at ? "students see their marks" : "marks are not released"}
        </span>
        <span role="status" className="note-small">
          {working > 0 && `${working} ${working === 1 ? "sheet is" : "sheets are"} being marked`}
        </span>
        {canMarkAgain && (
          <Form method="post" className="ml-auto">
            <button
              className="press"
              type="submit"
              name="intent"
              value="mark again"
              title="Marks what has no mark yet or waits; marks that you gave stay"
            >
              Mark again
            </button>
          </Form>
        )}
        <a className={`link ${canMarkAgain ? "" : "ml-auto"}`} href={`/sheets/${sheet.key}/marks.csv`} download>
          As CSV
        </a>
        <SheetPlaces sheet={sheet.key} here="/marks" />
      </header>
      <Form method="get" className="no-print flex flex-wrap items-center gap-3">
        <label className="font-normal">
          Show{" "}
          <select
            name="show"
            className="border border-rule-strong bg-sheet"
            value={shown}
            onChange={(event) => setSearch(event.target.value === "all" ? {} : { show: event.target.value })}
          >
            {Object.entries(filters).map(([id, { words }]) => (
              <option key={id} value={id}>
                {words}
              </option>
            ))}
          </select>
        </label>
        {waiting > 0 && (
          <span>
            {waiting} {waiting === 1 ? "answer waits" : "answers wait"} for you; students read that they do.
          </span>
        )}
      </Form>
      {tables.map((table) => (
        <section key={table.number} className="grid gap-1">
          {editions > 1 && (
            <h2 className="text-base">
              Edition {table.number}{" "}
              <span className="note-small font-normal">
                {table.released ? "students see their marks" : "marks are not released"}
              </span>
            </h2>
          )}
          <BookTable sheet={sheet.key} {...table} rows={table.rows.filter((filters[shown] ?? everybody).shows)} />
        </section>
      ))}
      {tables.length === 0 && <p className="leaf p-4">Nobody has sat this sheet, and no student is in its course.</p>}
      <p className="note-small">
        “+ ?” is an answer in words that waits for you: press the task, and all answers to it stand together, the same
        ones once; or the student’s label. Marks of a program can be overruled there with a reason.
      </p>
    </div>
  );
}

/** When a sheet was handed in, and by whom where it was not the student. */
function handedInWords({ at, by }: HandInReceipt): string {
  const when = new Date(at).toLocaleString("en-GB", {
    day: "numeric",
    month: "short",
    hour: "2-digit",
    minute: "2-digit",
  });
  return `${by === "student" ? "handed in" : "collected"} ${when}`;
}

type BookTableProps = BookTableData & { sheet: string };

/** The marks of all who sat an edition, a column a task. */
function BookTable({ sheet, number, columns, rows, total }: BookTableProps) {
  const exercises = [...new Set(columns.map((column) => column.exercise))];
  const shares = sharesOf({ columns, rows, total });
  return (
    <section className="leaf overflow-x-auto" aria-label={`Marks of all students, edition ${number}`} tabIndex={0}>
      <table className="w-full">
        <thead>
          <tr className="border-b border-rule text-left">
            <th rowSpan={2} className="px-3 py-1 align-bottom">
              Student
            </th>
            {exercises.map((exercise) => (
              <th
                key={exercise}
                scope="colgroup"
                colSpan={columns.filter((column) => column.exercise === exercise).length}
                className="border-l border-rule-strong px-2 py-1"
              >
                Exercise {exercise}
              </th>
            ))}
            <th rowSpan={2} className="border-l border-rule-strong px-3 py-1 align-bottom">
              Total of {total}
            </th>
          </tr>
          <tr className="border-b-2 border-rule-strong text-left align-bottom">
            {columns.map((column, index) => (
              <th
                key={column.key}
                scope="col"
                className={`px-2 py-1 text-sm font-normal ${columns[index - 1]?.exercise === column.exercise ? "" : "border-l border-rule-strong"}`}
              >
                <Link
                  className="link"
                  to={`/sheets/${sheet}/answers/${column.key}`}
                  aria-label={`All answers to ${column.title}, exercise ${column.exercise}`}
                >
                  {column.title}
                </Link>{" "}
                <span className="text-graphite">({column.marks})</span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.key} className="border-b border-rule">
              <th scope="row" className="px-3 py-1 text-left font-semibold whitespace-nowrap">
                {row.sitting ? (
                  <Link className="link" to={`/sheets/${sheet}/marks/${row.sitting}`}>
                    {row.label}
                  </Link>
                ) : (
                  row.label
                )}
                <span
                  className="note-small ml-2 font-normal"
                  title={row.receipt ? `receipt ${row.receipt.number}` : undefined}
                >
                  {row.receipt ? handedInWords(row.receipt) : row.state}
                  {row.marking ? `, ${row.marking}` : ""}
                </span>
              </th>
              {row.cells.map((cell, index) => (
                <td
                  key={columns[index]?.key}
                  className={`px-2 py-1 ${columns[index - 1]?.exercise === columns[index]?.exercise ? "" : "border-l border-rule-strong"}`}
                >
                  {cell.marked ? cell.earned : ""}
                  {cell.waits && (
                    <span className="text-graphite" title="waits for you">
                      {" "}
                      + ?
                    </span>
                  )}
                </td>
              ))}
              <td className="border-l border-rule-strong px-3 py-1 font-semibold whitespace-nowrap">
                {row.state === "handed in" ? row.total : ""}
                {row.waiting > 0 && <span className="note-small font-normal"> {row.waiting} to read</span>}
              </td>
            </tr>
          ))}
        </tbody>
        <tfoot>
          <tr className="border-t-2 border-rule-strong">
            <th scope="row" className="px-3 py-1 text-left text-sm font-normal whitespace-nowrap">
              Earned of what could be
            </th>
            {shares.cells.map((share, index) => (
              <td
                key={columns[index]?.key}
                className={`px-2 py-1 text-sm ${columns[index - 1]?.exercise === columns[index]?.exercise ? "" : "border-l border-rule-strong"}`}
              >
                {share}
              </td>
            ))}
            <td className="border-l border-rule-strong px-3 py-1 text-sm">{shares.total}</td>
          </tr>
        </tfoot>
      </table>
    </section>
  );
}
