import { data } from "react-router";
import { totalMarks } from "../../core/exercises/exercise.ts";
import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import { lineTexts } from "../../core/source/lines.ts";
import { editionOfAddress, editionToPrint } from "../../server/sheets/editionToPrint.ts";
import { findSheet } from "../../server/sheets/sheetStore.ts";
import { partsOf } from "../tasks/list.ts";
import type { Route } from "./+types/sheetPage.ts";
import { PrintedProgram, PrintPage } from "./PrintPage.tsx";

export const meta: Route.MetaFunction = () => [{ title: "Sheet, for print" }];

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const sheet = await findSheet(context.services.database, params.sheetKey);
  if (!sheet) throw data("There is no such sheet.", { status: 404 });
  const printed = await editionToPrint(context.services.database, sheet, editionOfAddress(request.url));
  if (!printed) throw data("There is no such edition of this sheet.", { status: 404 });
  return {
    title: sheet.title,
    wording: sheet.wording,
    course: sheet.course_name,
    edition: printed.numbers.length > 1 ? printed.number : null,
    exercises: printed.exercises.map(({ key, title, content }) => ({
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

export default function PrintSheet({ loaderData }: Route.ComponentProps) {
  const { title, course, edition, exercises } = loaderData;
  const total = exercises.reduce((sum, exercise) => sum + exercise.total, 0);
  return (
    <PrintPage title={title} under={`${course}${edition ? ` · edition ${edition}` : ""} · ${total} marks`}>
      <p>Label: ____________________</p>
      {exercises.map((exercise, index) => (
        <section key={exercise.key} className="grid gap-2">
          <h2>
            {index + 1}. {exercise.title} <span className="float-right">({exercise.total})</span>
          </h2>
          {exercise.intro && <p>{exercise.intro}</p>}
          <PrintedProgram lines={exercise.lines} />
          {exercise.tasks.map((task, at) => {
            const { Paper, partsOnPaper } = partsOf(task.kind);
            return (
              <div key={task.key} className={partsOnPaper ? "grid gap-1" : "keep-together grid gap-1"}>
                <h3>
                  {String.fromCharCode(97 + at)}) {task.title}{" "}
                  <span className="float-right font-normal">({task.marks})</span>
                </h3>
                <Paper view={task.view} />
              </div>
            );
          })}
        </section>
      ))}
    </PrintPage>
  );
}
