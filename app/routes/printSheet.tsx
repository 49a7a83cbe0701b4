import { data } from "react-router";
import { z } from "zod";
import { totalMarks } from "../../core/exercises/exercise.ts";
import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import { lineTexts } from "../../core/source/lines.ts";
import { services } from "../../server/services.ts";
import { findSheet, listPlaced } from "../../server/stores/sheets.ts";
import { PrintedProgram, PrintedTraceTable, PrintPage, WritingLines } from "../print/PrintPage.tsx";
import type { Route } from "./+types/printSheet.ts";

export const meta: Route.MetaFunction = () => [{ title: "Sheet, for print" }];

export async function loader({ params }: Route.LoaderArgs) {
  const sheet = await findSheet(services().database, params.sheetKey);
  if (!sheet) throw data("There is no such sheet.", { status: 404 });
  const placed = await listPlaced(services().database, sheet.key);
  return {
    title: sheet.title,
    course: sheet.course_name,
    exercises: placed.map(({ key, title, content }) => ({
      key,
      title,
      intro: content.intro,
      lines: lineTexts(content.program),
      total: totalMarks(content),
      tasks: content.tasks.map((task) => ({
        key: task.key,
        kind: task.kind,
        title: kindOfTask(task).title,
        marks: task.marks,
        view: kindOfTask(task).view(task, content),
      })),
    })),
  };
}

const tableSchema = z.object({
  text: z.string().nullable(),
  input: z.string(),
  linesGiven: z.boolean(),
  columns: z.array(z.object({ key: z.string(), title: z.string() })),
  rows: z.array(z.object({ line: z.number(), cells: z.record(z.string(), z.string()) })),
});
const inputSchema = z.object({ input: z.string(), text: z.string().nullable() });

/** Blank rows on paper where the number of rows is not to be told. */
const blankRows = 16;

function Space({ kind, view }: { kind: string; view: unknown }) {
  const table = tableSchema.safeParse(view);
  if (kind === "trace" && table.success) {
    const rows = table.data.linesGiven
      ? table.data.rows.map((row) => ({ line: String(row.line), cells: row.cells }))
      : [
          ...table.data.rows.map((row) => ({ line: String(row.line), cells: row.cells })),
          ...Array.from({ length: blankRows }, () => ({ line: "", cells: {} })),
        ];
    return (
      <>
        {table.data.text !== null && <PrintedProgram lines={lineTexts(table.data.text)} />}
        {table.data.input && <p>Typed in: {table.data.input.trim().split("\n").join(" / ")}</p>}
        <PrintedTraceTable table={{ columns: table.data.columns, rows }} />
      </>
    );
  }
  const given = inputSchema.safeParse(view);
  if (kind === "classify")
    return (
      <>
        <p>☐ syntax error&emsp;☐ runtime error&emsp;☐ logic error</p>
        <p>Reason:</p>
        <WritingLines count={2} />
      </>
    );
  if (kind === "point") return <p>Line: ____________</p>;
  return (
    <>
      {given.success && given.data.text !== null && <PrintedProgram lines={lineTexts(given.data.text)} />}
      {given.success && given.data.input && <p>Typed in: {given.data.input.trim().split("\n").join(" / ")}</p>}
      <WritingLines count={kind === "mend" ? 4 : 5} />
    </>
  );
}

export default function PrintSheet({ loaderData }: Route.ComponentProps) {
  const { title, course, exercises } = loaderData;
  const total = exercises.reduce((sum, exercise) => sum + exercise.total, 0);
  return (
    <PrintPage title={title} under={`${course} · ${total} marks`}>
      <p>Label: ____________________</p>
      {exercises.map((exercise, index) => (
        <section key={exercise.key} className="grid gap-2">
          <h2>
            {index + 1}. {exercise.title} <span className="float-right">({exercise.total})</span>
          </h2>
          {exercise.intro && <p>{exercise.intro}</p>}
          <PrintedProgram lines={exercise.lines} />
          {exercise.tasks.map((task, at) => (
            <div key={task.key} className={task.kind === "trace" ? "grid gap-1" : "keep-together grid gap-1"}>
              <h3>
                {String.fromCharCode(97 + at)}) {task.title} <span className="float-right font-normal">({task.marks})</span>
              </h3>
              <Space kind={task.kind} view={task.view} />
            </div>
          ))}
        </section>
      ))}
    </PrintPage>
  );
}
