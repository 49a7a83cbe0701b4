import type { ReactNode } from "react";
import { data, Form, Link, useNavigation, useSearchParams } from "react-router";
import { totalMarks } from "../../core/exercises/exercise.ts";
import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import { lineTexts } from "../../core/source/lines.ts";
import type { Database } from "../../server/database/database.ts";
import { findExercise } from "../../server/exercises/exerciseStore.ts";
import { levelNow, wordsOfResults } from "../../server/exercises/levelNow.ts";
import { listSheets } from "../../server/sheets/sheetStore.ts";
import { act, readAnewWhenStale } from "../actions.ts";
import { useCourseWords } from "../components/marks.tsx";
import { Said } from "../components/Said.tsx";
import { Script } from "../components/Script.tsx";
import { WayToMistake } from "../components/WayToMistake.tsx";
import { partsOf } from "../tasks/list.ts";
import type { Route } from "./+types/page.ts";
import { exerciseActions } from "./actions/list.ts";

export const meta: Route.MetaFunction = () => [{ title: "Exercise · Bent Nail" }];

async function loadExercise(database: Database, key: string) {
  const exercise = await findExercise(database, key);
  if (!exercise) throw data("There is no such exercise.", { status: 404 });
  return exercise;
}

export async function loader({ params, context }: Route.LoaderArgs) {
  const exercise = await loadExercise(context.services.database, params.exerciseKey);
  const { content } = exercise;
  const level = await levelNow(context.services.database, content);
  return {
    key: exercise.key,
    revision: exercise.revision,
    title: exercise.title,
    fromCase: exercise.faulty_case,
    wording: exercise.wording,
    intro: content.intro,
    fileName: content.fileName,
    lines: lineTexts(content.program),
    program: content.program,
    mended: content.mended ?? "",
    faultyLines: content.faults.flatMap((fault) => fault.faultyLines),
    ways: content.faults.map(({ looks }) => looks ?? []),
    level: { level: level.level, reasons: level.reasons, byResults: wordsOfResults(level) },
    total: totalMarks(content),
    tasks: content.tasks.map((task) => {
      const kind = kindOfTask(task);
      return {
        key: task.key,
        kind: task.kind,
        title: kind.title,
        marks: task.marks,
        rule: kind.rule(task),
        scheme: kind.scheme(task, content),
        ownKey: kind.key(task, content),
      };
    }),
    sheets: (await listSheets(context.services.database))
      .filter((sheet) => sheet.state === "draft")
      .map(({ key, title }) => ({ key, title })),
  };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const exercise = await loadExercise(context.services.database, params.exerciseKey);
  return act(exerciseActions, request, { services: context.services, exercise });
}

export const shouldRevalidate = readAnewWhenStale;

export default function ExercisePage({ loaderData: view, actionData }: Route.ComponentProps) {
  const [query] = useSearchParams();
  const inWords = useCourseWords();
  const busy = useNavigation().state !== "idle";
  const surprises = query.getAll("surprise");
  const revision = <input type="hidden" name="revision" value={view.revision} />;
  return (
    <article className="grid gap-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,34rem)]">
      <div className="grid content-start gap-4">
        <header>
          <h1>{view.title}</h1>
          <p className="note-small">
            Exercise of {view.total} marks, level {view.level.level} of 5 (
            {view.level.reasons.map((reason) => inWords(reason.words)).join("; ") || "nothing makes it harder"})
            {view.level.byResults !== "" && `; ${view.level.byResults}`}
            {view.fromCase && (
              <>
                {" · "}
                <Link className="link" to={`/cases/${view.fromCase}`}>
                  the case it was made from
                </Link>
              </>
            )}
            {" · "}
            <Link className="link" to={`/exercises/${view.key}/present`}>
              present it
            </Link>
          </p>
        </header>
        {surprises.length > 0 && (
          <ul role="alert" className="border-l-4 border-ochre pl-3">
            {surprises.map((surprise) => (
              <li key={surprise}>{inWords(surprise)}</li>
            ))}
          </ul>
        )}
        <Said reply={actionData} />
        <section className="leaf py-3" aria-label="The program">
          <Script lines={view.lines} label={view.fileName} faulty={new Set(view.faultyLines)} />
          {view.ways.some((looks) => looks.length > 0) && (
            <details className="px-3 pt-2">
              <summary className="cursor-pointer text-sm text-steel-deep">How it can be found, line by line</summary>
              <WayToMistake ways={view.ways} lines={view.lines} />
            </details>
          )}
        </section>
        <Form method="post" className="leaf grid gap-2 p-3">
          {revision}
          <label>
            Title, as students see it
            <input name="title" className="field" defaultValue={view.title} />
          </label>
          <label>
            What the program should do
            <textarea name="intro" className="field" rows={2} defaultValue={view.intro} />
          </label>
          <div>
            <button className="press" type="submit" name="intent" value="words">
              Keep
            </button>
          </div>
        </Form>
        <Form method="post" className="leaf flex flex-wrap items-end gap-3 p-3">
          <label>
            Put it on a sheet
            <select name="sheet" className="field">
              {view.sheets.map((sheet) => (
                <option key={sheet.key} value={sheet.key}>
                  {sheet.title}
                </option>
              ))}
            </select>
          </label>
          <button
            className="press press-main"
            type="submit"
            name="intent"
            value="place"
            disabled={view.sheets.length === 0}
          >
            Put it there
          </button>
          <Link className="link" to="/sheets">
            {view.sheets.length === 0 ? "Begin a sheet first" : "Sheets"}
          </Link>
        </Form>
        <Form method="post" className="leaf flex flex-wrap items-end gap-3 p-3">
          <label>
            Scene
            <input name="seed" type="number" min={0} max={1_000_000} defaultValue={1} className="field w-24" />
          </label>
          <button className="press" type="submit" name="intent" value="twin" disabled={busy || view.mended === ""}>
            {busy ? "Running it …" : "Make an equal one in another scene"}
          </button>
          <p className="note-small">
            The same fault on the same line, other names, numbers and outputs, for whoever sits beside. The same number
            gives the same scene.
          </p>
        </Form>
        <details className="leaf p-3">
          <summary className="cursor-pointer font-semibold">Change the program by hand</summary>
          <Form method="post" className="mt-2 grid gap-2">
            {revision}
            <label>
              The program, as it is handed out
              <textarea name="program" className="field font-mono" rows={10} defaultValue={view.program} />
            </label>
            <label>
              The same mended
              <textarea name="mended" className="field font-mono" rows={10} defaultValue={view.mended} />
            </label>
            <div>
              <button className="press" type="submit" name="intent" value="prove" disabled={busy}>
                {busy ? "Running it …" : "Prove it and keep it"}
              </button>
              <p className="note-small mt-1">
                Both are run with all checks and every key is made anew. What does not hold is said, and nothing is kept
                then.
              </p>
            </div>
          </Form>
        </details>
      </div>
      <section aria-labelledby="tasks-title" className="grid content-start gap-4">
        <h2 id="tasks-title">Tasks</h2>
        {view.tasks.map((task, index) => (
          <div key={task.key} className="leaf grid gap-2 p-3">
            <h3>
              {index + 1}. {task.title}
            </h3>
            <p className="note-small">Students are told: {inWords(task.rule)}</p>
            <ul>
              {task.scheme.map((item) => (
                <li key={item.item}>
                  <strong>
                    {item.item} ({item.marks}):
                  </strong>{" "}
                  <span className="whitespace-pre-wrap">{inWords(item.words)}</span>
                </li>
              ))}
            </ul>
            <ChangeTask task={task} revision={revision} />
            <Form method="post" className="flex items-end gap-3">
              {revision}
              <input type="hidden" name="task" value={task.key} />
              <label className="text-sm">
                Marks
                <input type="number" min={1} max={100} name="marks" defaultValue={task.marks} className="field w-20" />
              </label>
              <button className="press" type="submit" name="intent" value="marks">
                Keep
              </button>
              <button className="press press-quiet ml-auto" type="submit" name="intent" value="remove task">
                Leave this task out
              </button>
            </Form>
          </div>
        ))}
      </section>
    </article>
  );
}

/** What can be changed of a task beside its marks, where its kind has something. */
function ChangeTask({ task, revision }: { task: { key: string; kind: string; ownKey: unknown }; revision: ReactNode }) {
  const { Change } = partsOf(task.kind);
  if (!Change) return null;
  return (
    <Form method="post" className="grid gap-2">
      {revision}
      <input type="hidden" name="task" value={task.key} />
      <Change key={JSON.stringify(task.ownKey)} ownKey={task.ownKey} />
      <div>
        <button className="press" type="submit" name="intent" value="change task">
          Keep it so
        </button>
      </div>
    </Form>
  );
}
