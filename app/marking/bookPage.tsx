import { data, Form, Link } from "react-router";
import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import { sittingsToMarkAgain, unmarkedSittings } from "../../server/marks/marking.ts";
import { beingMarked } from "../../server/marks/markingWork.ts";
import { listMarks } from "../../server/marks/markStore.ts";
import { listStudents, type Student } from "../../server/people/courseStore.ts";
import { type EditionContent, findEdition, findSheet, listEditions } from "../../server/sheets/sheetStore.ts";
import { type HandInReceipt, receiptOf } from "../../server/sittings/receipt.ts";
import { listSittings, type Sitting } from "../../server/sittings/sittingStore.ts";
import { act } from "../actions.ts";
import { useReadAgainWhile } from "../components/useReadAgainWhile.ts";
import type { Route } from "./+types/bookPage.ts";
import { markSheetAgain } from "./actions/markAgain.ts";

export const meta: Route.MetaFunction = () => [{ title: "Mark book · Bent Nail" }];

export async function loader({ params, context }: Route.LoaderArgs) {
  const { database } = context.services;
  const sheet = await findSheet(database, params.sheetKey);
  if (!sheet) throw data("There is no such sheet.", { status: 404 });
  const [students, sittings, heads] = await Promise.all([
    listStudents(database, sheet.course, "all"),
    listSittings(database, sheet.key),
    listEditions(database, sheet.key),
  ]);
  const editions = await Promise.all(heads.map(({ key }) => findEdition(database, key)));
  const contents = new Map(editions.flatMap((edition) => (edition ? [[edition.key, edition.content] as const] : [])));
  const marks = await listMarks(
    database,
    sittings.map((sitting) => sitting.key),
  );
  const unmarked = new Set((await unmarkedSittings(context.services, sheet.key)).map((sitting) => sitting.key));
  const again = (await sittingsToMarkAgain(context.services, sheet.key)).length;
  const working = await beingMarked(context.services);
  const rowOf = (student: Student, own: Sitting | undefined, columns: readonly Column[]) => {
    const ownMarks = own ? marks.filter((mark) => mark.sitting === own.key) : [];
    return {
      key: own?.key ?? student.key,
      label: own && own.attempt > 1 ? `${student.label}, try ${own.attempt}` : student.label,
      sitting: own?.key ?? null,
      receipt: own ? receiptOf(own) : null,
      state: own ? (own.handed_in_at ? "handed in" : "sitting") : "not begun",
      marking:
        own && working.has(own.key)
          ? ("being marked" as const)
          : own && unmarked.has(own.key)
            ? ("not marked" as const)
            : null,
      cells: columns.map((column) => {
        const items = ownMarks.filter((mark) => mark.task === column.key);
        return {
          earned: items.reduce((sum, item) => sum + (item.earned ?? 0), 0),
          waits: items.some((item) => item.earned === null),
          marked: items.length > 0,
        };
      }),
      total: ownMarks.reduce((sum, mark) => sum + (mark.earned ?? 0), 0),
      waiting: ownMarks.filter((mark) => mark.earned === null).length,
    };
  };
  // A table for every edition that was sat, the newest first; who has sat none stands in that one.
  const tables = heads.toReversed().flatMap(({ key, number, released_at }, index) => {
    const columns = columnsOf(contents.get(key));
    const rows = students.flatMap((student) => {
      const own = sittings.filter((sitting) => sitting.student === student.key);
      const here = own.filter((sitting) => sitting.edition === key);
      if (here.length > 0) return here.map((sitting) => rowOf(student, sitting, columns));
      return index === 0 && own.length === 0 && student.left_at === null ? [rowOf(student, undefined, columns)] : [];
    });
    if (rows.length === 0) return [];
    const total = columns.reduce((sum, column) => sum + column.marks, 0);
    return [{ number, released: released_at !== null, columns, rows, total }];
  });
  return { sheet, wording: sheet.wording, again, tables, editions: heads.length };
}

type Column = { key: string; exercise: number; title: string; marks: number };

function columnsOf(content: EditionContent | undefined): Column[] {
  return (content?.exercises ?? []).flatMap((exercise, index) =>
    exercise.content.tasks.map((task) => ({
      ...{ key: task.key, exercise: index + 1, title: kindOfTask(task).title, marks: task.marks },
    })),
  );
}

export async function action({ params, request, context }: Route.ActionArgs) {
  return act([markSheetAgain], request, { services: context.services, sheet: params.sheetKey });
}

export default function MarkBook({ loaderData }: Route.ComponentProps) {
  const { sheet, tables, editions, again } = loaderData;
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
        <Link className={`link ${canMarkAgain ? "" : "ml-auto"}`} to={`/sheets/${sheet.key}`}>
          The sheet
        </Link>
      </header>
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
          <BookTable sheet={sheet.key} {...table} />
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

type BookTableProps = Awaited<ReturnType<typeof loader>>["tables"][number] & { sheet: string };

/** The marks of all who sat an edition, a column a task. */
function BookTable({ sheet, number, columns, rows, total }: BookTableProps) {
  const exercises = [...new Set(columns.map((column) => column.exercise))];
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
      </table>
    </section>
  );
}
