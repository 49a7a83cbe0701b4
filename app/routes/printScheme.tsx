import { data } from "react-router";
import { totalMarks } from "../../core/exercises/exercise.ts";
import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import { traceTaskSchema } from "../../core/exercises/tasks/traceTable.ts";
import { lineTexts } from "../../core/source/lines.ts";
import { services } from "../../server/services.ts";
import { findSheet, listPlaced } from "../../server/stores/sheets.ts";
import { PrintedProgram, PrintedTraceTable, PrintPage } from "../print/PrintPage.tsx";
import type { Route } from "./+types/printScheme.ts";

export const meta: Route.MetaFunction = () => [{ title: "Mark scheme, for print" }];

export async function loader({ params }: Route.LoaderArgs) {
  const sheet = await findSheet(services().database, params.sheetKey);
  if (!sheet) throw data("There is no such sheet.", { status: 404 });
  const placed = await listPlaced(services().database, sheet.key);
  return {
    title: sheet.title,
    exercises: placed.map(({ key, title, content }) => ({
      key,
      title,
      lines: lineTexts(content.program),
      total: totalMarks(content),
      tasks: content.tasks.map((task) => {
        const trace = traceTaskSchema.safeParse(task);
        return {
          key: task.key,
          title: kindOfTask(task).title,
          marks: task.marks,
          rule: kindOfTask(task).rule(task),
          scheme: kindOfTask(task).scheme(task, content),
          trace: trace.success ? { columns: trace.data.columns, rows: trace.data.rows.map((row) => ({ line: String(row.line), cells: row.cells })) } : null,
        };
      }),
    })),
  };
}

export default function PrintScheme({ loaderData }: Route.ComponentProps) {
  const total = loaderData.exercises.reduce((sum, exercise) => sum + exercise.total, 0);
  return (
    <PrintPage title={`Mark scheme: ${loaderData.title}`} under={`${total} marks · for the teacher only`}>
      {loaderData.exercises.map((exercise, index) => (
        <section key={exercise.key} className="grid gap-2">
          <h2>
            {index + 1}. {exercise.title} <span className="float-right">({exercise.total})</span>
          </h2>
          <PrintedProgram lines={exercise.lines} />
          {exercise.tasks.map((task, at) => (
            <div key={task.key} className="grid gap-1">
              <h3>
                {String.fromCharCode(97 + at)}) {task.title} <span className="float-right font-normal">({task.marks})</span>
              </h3>
              <ul>
                {task.scheme.map((item) => (
                  <li key={item.item} className="whitespace-pre-wrap">
                    <strong>
                      {item.item} ({item.marks}):
                    </strong>{" "}
                    {item.words}
                  </li>
                ))}
              </ul>
              {task.trace && <PrintedTraceTable table={task.trace} />}
              <p className="text-[9.5pt]">Rule told to students: {task.rule}</p>
            </div>
          ))}
        </section>
      ))}
    </PrintPage>
  );
}
