import { totalMarks } from "../../core/exercises/exercise.ts";
import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import { lineTexts } from "../../core/source/lines.ts";
import { useCourseWords } from "../components/marks.tsx";
import { UserSteps } from "../components/UserSteps.tsx";
import { partsOf } from "../tasks/list.ts";
import type { Route } from "./+types/sheetPage.ts";
import { PrintedProgram, PrintPage } from "./PrintPage.tsx";
import { printedSheet } from "./printedSheet.ts";

export const meta: Route.MetaFunction = () => [{ title: "Sheet, for print" }];

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const { head, exercises } = await printedSheet(context.services.database, params.sheetKey, request.url);
  return {
    ...head,
    exercises: exercises.map(({ key, title, section, content }) => ({
      key,
      title,
      section,
      intro: content.intro,
      lines: lineTexts(content.program),
      total: totalMarks(content),
      faults: content.faults.length,
      userActions: content.userActions,
      given: content.given,
      files: Object.entries(content.checks[0]?.files ?? {}).map(([name, text]) => ({ name, text })),
      tasks: content.tasks.map((task) => ({
        key: task.key,
        kind: task.kind,
        title: kindOfTask(task).title,
        marks: task.marks,
        view: kindOfTask(task).view(task, content),
        rule: kindOfTask(task).rule(task),
      })),
    })),
  };
}

export default function PrintSheet({ loaderData }: Route.ComponentProps) {
  const inWords = useCourseWords();
  const { title, course, edition, scene, exercises, minutes, large } = loaderData;
  const total = exercises.reduce((sum, exercise) => sum + exercise.total, 0);
  return (
    <PrintPage
      title={title}
      large={large}
      under={`${course}${edition ? ` · edition ${edition}` : ""}${scene > 0 ? ` · ${scene}` : ""} · ${total} marks${minutes ? ` · ${minutes} minutes` : ""}`}
    >
      <p className="flex flex-wrap gap-x-8">
        <span>Label: ____________________</span>
        <span>Date: ______________</span>
        <span>Marks: ______ of {total}</span>
      </p>
      <p className="no-print">
        <a className="link" href={large ? "?" : "?type=large"}>
          {large ? "In usual type" : "In large print"}
        </a>
      </p>
      {exercises.map((exercise, index) => (
        <section key={exercise.key} className="grid gap-2">
          {exercise.section !== "" && exercise.section !== exercises[index - 1]?.section && (
            <p className="border-b border-black text-lg font-semibold">{exercise.section}</p>
          )}
          <h2>
            {index + 1}. {exercise.title} <span className="float-right">({exercise.total})</span>
          </h2>
          {exercise.intro && <p>{exercise.intro}</p>}
          <UserSteps title="What the user does:" steps={exercise.userActions} />
          <p>{exercise.faults === 1 ? "There is one fault in it." : `There are ${exercise.faults} faults in it.`}</p>
          <PrintedProgram lines={exercise.lines} />
          {exercise.files.map((file) => (
            <div key={file.name} className="keep-together">
              <p>{file.text === null ? `There is no file ${file.name}.` : `Beside the program lies ${file.name}:`}</p>
              {file.text !== null && <pre className="text-[10pt] whitespace-pre-wrap">{file.text}</pre>}
            </div>
          ))}
          {exercise.given.map(({ says, text }) => (
            <div key={says} className="keep-together">
              <p>{says}</p>
              <pre className="text-[10pt] whitespace-pre-wrap">{text || "(nothing)"}</pre>
            </div>
          ))}
          {exercise.tasks.map((task, at) => {
            const { Paper, partsOnPaper } = partsOf(task.kind);
            return (
              <div key={task.key} className={partsOnPaper ? "grid gap-1" : "keep-together grid gap-1"}>
                <h3>
                  {String.fromCharCode(97 + at)}) {task.title}{" "}
                  <span className="float-right font-normal">({task.marks})</span>
                </h3>
                <p className="text-[9.5pt]">{inWords(task.rule)}</p>
                <Paper view={task.view} />
              </div>
            );
          })}
        </section>
      ))}
    </PrintPage>
  );
}
