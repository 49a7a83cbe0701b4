import { data, Form, Link } from "react-router";
import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import { sittingsToMarkAgain, unmarkedSittings } from "../../server/marks/marking.ts";
import { beingMarked } from "../../server/marks/markingWork.ts";
import { listMarks } from "../../server/marks/markStore.ts";
import { listStudents } from "../../server/people/courseStore.ts";
import { findEdition, findLastEdition, findSheet } from "../../server/sheets/sheetStore.ts";
import { listSittings } from "../../server/sittings/sittingStore.ts";
import { act } from "../actions.ts";
import { useReadAgainWhile } from "../components/useReadAgainWhile.ts";
import type { Route } from "./+types/bookPage.ts";
import { markSheetAgain } from "./actions/markAgain.ts";

export const meta: Route.MetaFunction = () => [{ title: "Mark book · Bent Nail" }];

export async function loader({ params, context }: Route.LoaderArgs) {
  const { database } = context.services;
  const sheet = await findSheet(database, params.sheetKey);
  if (!sheet) throw data("There is no such sheet.", { status: 404 });
  const [students, sittings, last] = await Promise.all([
    listStudents(database, sheet.course),
    listSittings(database, sheet.key),
    findLastEdition(database, sheet.key),
  ]);
  const marks = await listMarks(
    database,
    sittings.map((sitting) => sitting.key),
  );
  const editions = new Map(
    (
      await Promise.all(
        [...new Set(sittings.map((sitting) => sitting.edition))].map((key) => findEdition(database, key)),
      )
    ).flatMap((edition) => (edition ? [[edition.key, edition.number] as const] : [])),
  );
  const unmarked = new Set((await unmarkedSittings(context.services, sheet.key)).map((sitting) => sitting.key));
  const again = (await sittingsToMarkAgain(context.services, sheet.key)).length;
  const working = await beingMarked(context.services);
  const columns =
    last?.content.exercises.flatMap((exercise, index) =>
      exercise.content.tasks.map((task) => ({
        key: task.key,
        exercise: index + 1,
        title: kindOfTask(task).title,
        marks: task.marks,
      })),
    ) ?? [];
  return {
    sheet,
    again,
    columns,
    total: columns.reduce((sum, column) => sum + column.marks, 0),
    rows: students.map((student) => {
      const own = sittings.filter((sitting) => sitting.student === student.key).at(-1);
      const ownMarks = own ? marks.filter((mark) => mark.sitting === own.key) : [];
      const cells = columns.map((column) => {
        const items = ownMarks.filter((mark) => mark.task === column.key);
        return {
          earned: items.reduce((sum, item) => sum + (item.earned ?? 0), 0),
          waits: items.some((item) => item.earned === null),
          marked: items.length > 0,
        };
      });
      return {
        key: student.key,
        label: student.label,
        sitting: own?.key ?? null,
        state: own ? (own.handed_in_at ? "handed in" : "sitting") : "not begun",
        marking:
          own && working.has(own.key)
            ? ("being marked" as const)
            : own && unmarked.has(own.key)
              ? ("not marked" as const)
              : null,
        edition: own ? (editions.get(own.edition) ?? null) : null,
        cells,
        total: ownMarks.reduce((sum, mark) => sum + (mark.earned ?? 0), 0),
        waiting: ownMarks.filter((mark) => mark.earned === null).length,
      };
    }),
  };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  return act([markSheetAgain], request, { services: context.services, sheet: params.sheetKey });
}

export default function MarkBook({ loaderData }: Route.ComponentProps) {
  const { sheet, columns, rows, total, again } = loaderData;
  const working = rows.filter((row) => row.marking === "being marked").length;
  const canMarkAgain = again > 0 && working === 0;
  useReadAgainWhile(working > 0);
  const exercises = [...new Set(columns.map((column) => column.exercise))];
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
        <Link className={`link ${canMarkAgain ? "" : "ml-auto"}`} to={`/sheets/${sheet.key}`}>
          The sheet
        </Link>
      </header>
      <section className="leaf overflow-x-auto" aria-label="Marks of all students" tabIndex={0}>
        <table className="w-full">
          <thead>
            <tr className="border-b border-rule text-left">
              <th rowSpan={2} className="px-3 py-1 align-bottom">
                Student
              </th>
              {exercises.map((number) => (
                <th
                  key={number}
                  scope="colgroup"
                  colSpan={columns.filter((column) => column.exercise === number).length}
                  className="border-l border-rule-strong px-2 py-1"
                >
                  Exercise {number}
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
                  {column.title} <span className="text-graphite">({column.marks})</span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={row.key} className="border-b border-rule">
                <th scope="row" className="px-3 py-1 text-left font-semibold whitespace-nowrap">
                  {row.sitting ? (
                    <Link className="link" to={`/sheets/${sheet.key}/marks/${row.sitting}`}>
                      {row.label}
                    </Link>
                  ) : (
                    row.label
                  )}
                  <span className="note-small ml-2 font-normal">{row.marking ?? row.state}</span>
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
        </table>
      </section>
      <p className="note-small">
        “+ ?” is an answer in words that waits for you: press the student’s label. Marks of a program can be overruled
        there with a reason.
      </p>
    </div>
  );
}
