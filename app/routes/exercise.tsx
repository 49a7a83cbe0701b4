import { data, Form, Link, useSearchParams } from "react-router";
import { type ExerciseContent, totalMarks } from "../../core/exercises/exercise.ts";
import { levelOf } from "../../core/exercises/level.ts";
import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import { markedColumns, traceTaskSchema } from "../../core/exercises/tasks/traceTable.ts";
import { lineTexts } from "../../core/source/lines.ts";
import { traceTask } from "../../server/exercises.ts";
import { services } from "../../server/services.ts";
import { findExercise, saveExercise } from "../../server/stores/exercises.ts";
import { listSheets, placeExercise } from "../../server/stores/sheets.ts";
import { Script } from "../components/Script.tsx";
import { TraceKeyEditor } from "../exercise/TraceKeyEditor.tsx";
import { formText, readForm, wholeNumber } from "../formText.ts";
import type { Route } from "./+types/exercise.ts";

export const meta: Route.MetaFunction = () => [{ title: "Exercise · Bent Nail" }];

async function loadExercise(key: string) {
  const exercise = await findExercise(services().database, key);
  if (!exercise) throw data("There is no such exercise.", { status: 404 });
  return exercise;
}

export async function loader({ params }: Route.LoaderArgs) {
  const exercise = await loadExercise(params.exerciseKey);
  const { content } = exercise;
  return {
    key: exercise.key,
    revision: exercise.revision,
    title: exercise.title,
    fromCase: exercise.faulty_case,
    intro: content.intro,
    fileName: content.fileName,
    lines: lineTexts(content.program),
    faultyLines: content.faults.flatMap((fault) => fault.faultyLines),
    level: levelOf(content),
    total: totalMarks(content),
    mended: content.mended !== null,
    checks: content.checks.length,
    tasks: content.tasks.map((task) => {
      const kind = kindOfTask(task);
      const trace = traceTaskSchema.safeParse(task);
      return {
        key: task.key,
        kind: task.kind,
        title: kind.title,
        marks: task.marks,
        rule: kind.rule(task),
        scheme: kind.scheme(task, content),
        trace: trace.success ? trace.data : null,
      };
    }),
    sheets: (await listSheets(services().database)).filter((sheet) => sheet.state === "draft").map(({ key, title }) => ({ key, title })),
  };
}

export async function action({ params, request }: Route.ActionArgs) {
  const exercise = await loadExercise(params.exerciseKey);
  const form = await readForm(request);
  const intent = String(form.get("intent"));
  const taskKey = String(form.get("task") ?? "");
  if (intent === "place") {
    await placeExercise(services().database, String(form.get("sheet")), exercise.key);
    return { ok: true, message: "It is on the sheet." };
  }
  const content: ExerciseContent = structuredClone(exercise.content);
  let title = exercise.title;
  const task = content.tasks.find((each) => each.key === taskKey);
  if (intent === "words") {
    title = formText(form, "title").trim() || title;
    content.intro = formText(form, "intro");
  } else if (intent === "marks" && task) {
    task.marks = wholeNumber(form.get("marks"), { from: 1, to: 100, otherwise: task.marks });
  } else if (intent === "remove task") {
    content.tasks = content.tasks.filter((each) => each.key !== taskKey);
  } else if (intent === "trace" && task) {
    const trace = traceTaskSchema.parse(task);
    const columns = form.getAll("column").map(String);
    const made = await traceTask(services(), content, {
      key: trace.key,
      marks: trace.marks,
      program: form.get("program") === "mended" && content.mended !== null ? "mended" : "faulty",
      check: wholeNumber(form.get("check"), { from: 0, to: Math.max(0, content.checks.length - 1), otherwise: 0 }),
      linesGiven: form.get("linesGiven") !== null,
      columns: columns.length > 0 && form.get("program") === trace.program ? columns : undefined,
    });
    if (typeof made === "string") return { ok: false, message: made };
    const known = new Set(
      made.rows.flatMap((row, index) =>
        markedColumns(made)
          .filter((column) => row.cells[column] !== undefined)
          .map((column) => `${index} ${column}`),
      ),
    );
    const asked = form
      .getAll("given")
      .map(String)
      .filter((cell) => known.has(cell));
    content.tasks = content.tasks.map((each) => (each.key === taskKey ? { ...made, given: form.get("program") === trace.program ? asked : made.given } : each));
  } else {
    return { ok: false, message: "This is not known here." };
  }
  const saved = await saveExercise(
    services().database,
    exercise.key,
    wholeNumber(form.get("revision"), { from: -1, to: 2 ** 31 - 1, otherwise: -1 }),
    title,
    content,
  );
  return saved
    ? { ok: true, message: "Kept." }
    : { ok: false, message: "This exercise was changed in another window meanwhile; nothing was overwritten. Look at the newer state and try again." };
}

export default function ExercisePage({ loaderData: view, actionData }: Route.ComponentProps) {
  const [query] = useSearchParams();
  const surprises = query.getAll("surprise");
  const revision = <input type="hidden" name="revision" value={view.revision} />;
  return (
    <article className="grid gap-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,34rem)]">
      <div className="grid content-start gap-4">
        <header>
          <h1>{view.title}</h1>
          <p className="note-small">
            Exercise of {view.total} marks, level {view.level.level} of 5 (
            {view.level.reasons.map((reason) => reason.words).join("; ") || "nothing makes it harder"})
            {view.fromCase && (
              <>
                {" · "}
                <Link className="link" to={`/cases/${view.fromCase}`}>
                  the case it was made from
                </Link>
              </>
            )}
          </p>
        </header>
        {surprises.length > 0 && (
          <ul role="alert" className="border-l-4 border-ochre pl-3">
            {surprises.map((surprise) => (
              <li key={surprise}>{surprise}</li>
            ))}
          </ul>
        )}
        {actionData && (
          <p role="status" className="font-semibold">
            {actionData.message}
          </p>
        )}
        <section className="leaf py-3" aria-label="The program">
          <Script lines={view.lines} label={view.fileName} faulty={new Set(view.faultyLines)} />
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
          <button className="press press-main" type="submit" name="intent" value="place" disabled={view.sheets.length === 0}>
            Put it there
          </button>
          <Link className="link" to="/sheets">
            {view.sheets.length === 0 ? "Begin a sheet first" : "Sheets"}
          </Link>
        </Form>
      </div>
      <section aria-labelledby="tasks-title" className="grid content-start gap-4">
        <h2 id="tasks-title">Tasks</h2>
        {view.tasks.map((task, index) => (
          <div key={task.key} className="leaf grid gap-2 p-3">
            <h3>
              {index + 1}. {task.title}
            </h3>
            <p className="note-small">Students are told: {task.rule}</p>
            <ul>
              {task.scheme.map((item) => (
                <li key={item.item}>
                  <strong>
                    {item.item} ({item.marks}):
                  </strong>{" "}
                  <span className="whitespace-pre-wrap">{item.words}</span>
                </li>
              ))}
            </ul>
            {task.trace && <TraceKeyEditor task={task.trace} revision={view.revision} checks={view.checks} mended={view.mended} />}
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
