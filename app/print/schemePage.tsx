import { totalMarks } from "../../core/exercises/exercise.ts";
import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import { lineTexts } from "../../core/source/lines.ts";
import { type GivenAnswer, givenAnswers } from "../../server/results/givenAnswers.ts";
import { useCourseWords } from "../components/marks.tsx";
import { WayToMistake } from "../components/WayToMistake.tsx";
import { partsOf } from "../tasks/list.ts";
import type { Route } from "./+types/schemePage.ts";
import { PrintedProgram, PrintPage } from "./PrintPage.tsx";
import { printedSheet } from "./printedSheet.ts";

export const meta: Route.MetaFunction = () => [{ title: "Mark scheme, for print" }];

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const { services } = context;
  const { head, edition, exercises } = await printedSheet(services.database, params.sheetKey, request.url);
  const given = new Map<string, Awaited<ReturnType<typeof givenAnswers>>>();
  for (const { content } of edition === null ? [] : exercises)
    for (const { key } of content.tasks)
      given.set(key, await givenAnswers(services, params.sheetKey, edition ?? "", key));
  return {
    ...head,
    exercises: exercises.map(({ key, title, content }) => ({
      key,
      title,
      lines: lineTexts(content.program),
      ways: content.faults.map(({ looks }) => looks ?? []),
      total: totalMarks(content),
      tasks: content.tasks.map((task) => ({
        given: given.get(task.key) ?? { accepted: [], wrong: [] },
        key: task.key,
        kind: task.kind,
        title: kindOfTask(task).title,
        marks: task.marks,
        rule: kindOfTask(task).rule(task),
        scheme: kindOfTask(task).scheme(task, content),
        ownKey: kindOfTask(task).key(task, content),
      })),
    })),
  };
}

export default function PrintScheme({ loaderData }: Route.ComponentProps) {
  const inWords = useCourseWords();
  const total = loaderData.exercises.reduce((sum, exercise) => sum + exercise.total, 0);
  return (
    <PrintPage
      title={`Mark scheme: ${loaderData.title}`}
      under={`${loaderData.edition ? `edition ${loaderData.edition} · ` : ""}${loaderData.scene > 0 ? `with other names and numbers ${loaderData.scene} · ` : ""}${total} marks · for the teacher only`}
    >
      {loaderData.exercises.map((exercise, index) => (
        <section key={exercise.key} className="grid gap-2">
          <h2>
            {index + 1}. {exercise.title} <span className="float-right">({exercise.total})</span>
          </h2>
          <PrintedProgram lines={exercise.lines} />
          {exercise.ways.some((looks) => looks.length > 0) && (
            <div className="keep-together text-[10pt]">
              <h3>How it can be found, line by line</h3>
              <WayToMistake ways={exercise.ways} lines={exercise.lines} />
            </div>
          )}
          {exercise.tasks.map((task, at) => (
            <div key={task.key} className="grid gap-1">
              <h3>
                {String.fromCharCode(97 + at)}) {task.title}{" "}
                <span className="float-right font-normal">({task.marks})</span>
              </h3>
              <ul>
                {task.scheme.map((item) => (
                  <li key={item.item} className="whitespace-pre-wrap">
                    <strong>
                      {item.item} ({item.marks}):
                    </strong>{" "}
                    {inWords(item.words)}
                  </li>
                ))}
              </ul>
              <KeyOf kind={task.kind} ownKey={task.ownKey} />
              <Given kind={task.kind} title="Also right, as you decided" answers={task.given.accepted} />
              <Given kind={task.kind} title="Given, and not all right" answers={task.given.wrong} />
              <p className="text-[9.5pt]">Rule told to students: {inWords(task.rule)}</p>
            </div>
          ))}
        </section>
      ))}
    </PrintPage>
  );
}

/** Answers that students gave, each once, with what it earned. */
function Given({ kind, title, answers }: { kind: string; title: string; answers: readonly GivenAnswer[] }) {
  if (answers.length === 0) return null;
  const { Answer } = partsOf(kind);
  return (
    <div className="keep-together border-l-2 border-black pl-3">
      <p className="text-[10pt] font-semibold">{title}:</p>
      {answers.map(({ compared, students, earned, possible }, at) => (
        <div key={at} className="text-[10pt]">
          <p>
            {students === 1 ? "by one" : `by ${students}`}, {earned} of {possible}
          </p>
          <Answer compared={compared} />
        </div>
      ))}
    </div>
  );
}

/** What the teacher's copy shows of a task beside its scheme. */
function KeyOf({ kind, ownKey }: { kind: string; ownKey: unknown }) {
  const { Key } = partsOf(kind);
  return Key ? <Key ownKey={ownKey} /> : null;
}
