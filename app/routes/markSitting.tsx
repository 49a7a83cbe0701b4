import { data, Link, useFetcher } from "react-router";
import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import { compareWithKey, markedColumns, traceAnswerSchema, traceTaskSchema } from "../../core/exercises/tasks/traceTable.ts";
import { findHunks } from "../../core/fixes/hunks.ts";
import { markBehind } from "../../server/markingWork.ts";
import { services } from "../../server/services.ts";
import { overrule } from "../../server/sittings.ts";
import { listFormer } from "../../server/stores/formerValues.ts";
import { findEdition } from "../../server/stores/sheets.ts";
import { findSitting, listAnswers, listMarks } from "../../server/stores/sittings.ts";
import { formText, readForm } from "../formText.ts";
import { AnswerView } from "../marking/AnswerView.tsx";
import type { Route } from "./+types/markSitting.ts";

export const meta: Route.MetaFunction = () => [{ title: "Marks of a student · Bent Nail" }];

export async function loader({ params }: Route.LoaderArgs) {
  const { database } = services();
  const sitting = await findSitting(database, params.sittingKey);
  const edition = sitting ? await findEdition(database, sitting.edition) : null;
  if (!sitting || !edition) throw data("There is no such sitting.", { status: 404 });
  const [answers, marks] = await Promise.all([listAnswers(database, sitting.key), listMarks(database, [sitting.key])]);
  const exercises = await Promise.all(
    edition.content.exercises.map(async ({ key, title, content }) => ({
      key,
      title,
      tasks: await Promise.all(
        content.tasks.map(async (task) => {
          const answer = answers.find((each) => each.task === task.key)?.content ?? null;
          const trace = traceTaskSchema.safeParse(task);
          const filled = traceAnswerSchema.safeParse(answer);
          const text = typeof answer === "object" && answer !== null && "text" in answer ? String(answer.text) : null;
          return {
            key: task.key,
            kind: task.kind,
            title: kindOfTask(task).title,
            marks: task.marks,
            answer,
            scheme: kindOfTask(task).scheme(task, content),
            changes: task.kind === "mend" && text !== null ? findHunks(content.program, text) : null,
            trace:
              trace.success && filled.success
                ? {
                    columns: trace.data.columns,
                    order: markedColumns(trace.data),
                    key: trace.data.rows,
                    answer: filled.data.rows,
                    marking: compareWithKey(trace.data, filled.data),
                  }
                : null,
            items: await Promise.all(
              marks
                .filter((mark) => mark.task === task.key)
                .map(async (mark) => ({ ...mark, former: (await listFormer(database.query, "mark", `${sitting.key} ${task.key} ${mark.item}`)).length })),
            ),
          };
        }),
      ),
    })),
  );
  return { sheet: params.sheetKey, label: sitting.label, handedIn: sitting.handed_in_at !== null, edition: edition.number, exercises };
}
export type MarkedTask = Route.ComponentProps["loaderData"]["exercises"][number]["tasks"][number];

export async function action({ params, request }: Route.ActionArgs) {
  const form = await readForm(request);
  if (form.get("intent") === "mark again") {
    const sitting = await findSitting(services().database, params.sittingKey);
    if (!sitting?.handed_in_at) return { ok: false, message: "This is not handed in yet." };
    await markBehind(services(), [sitting]);
    return { ok: true, message: "It was marked again. Marks that you gave stay." };
  }
  const mark = (await listMarks(services().database, [params.sittingKey])).find((each) => each.task === form.get("task") && each.item === form.get("item"));
  if (!mark) return { ok: false, message: "There is no such mark." };
  const done = await overrule(services(), mark, Number(form.get("earned")), formText(form, "reason"));
  return done.ok ? { ok: true, message: "" } : done;
}

export default function MarkSitting({ loaderData }: Route.ComponentProps) {
  const { label, exercises, sheet, handedIn } = loaderData;
  const again = useFetcher<{ ok: boolean; message: string }>();
  return (
    <div className="grid max-w-5xl gap-5">
      <header className="flex items-baseline gap-4">
        <h1>Answers of {label}</h1>
        <span className="note-small">{handedIn ? "handed in" : "still sitting"}</span>
        {handedIn && (
          <again.Form method="post" className="flex items-baseline gap-2">
            <button className="press" type="submit" name="intent" value="mark again" disabled={again.state !== "idle"} title="Marks that you gave stay">
              {again.state === "idle" ? "Mark again" : "Being marked"}
            </button>
            <span role="status" className="note-small">
              {again.data?.message}
            </span>
          </again.Form>
        )}
        <Link className="link ml-auto" to={`/sheets/${sheet}/marks`}>
          Mark book
        </Link>
      </header>
      {exercises.map((exercise, index) => (
        <section key={exercise.key} className="grid gap-3">
          <h2>
            {index + 1}. {exercise.title}
          </h2>
          {exercise.tasks.map((task) => (
            <article key={task.key} className="leaf grid gap-3 p-3 md:grid-cols-[minmax(0,1fr)_20rem]">
              <div>
                <h3>{task.title}</h3>
                <AnswerView task={task} />
              </div>
              <div className="grid content-start gap-3 border-l border-rule pl-3">
                {task.items.length === 0 && <p className="note-small">Not marked yet.</p>}
                {task.items.map((item) => (
                  <ItemForm key={`${item.item} ${item.earned}`} task={task} item={item} />
                ))}
              </div>
            </article>
          ))}
        </section>
      ))}
    </div>
  );
}

function ItemForm({ task, item }: { task: MarkedTask; item: MarkedTask["items"][number] }) {
  const fetcher = useFetcher<{ ok: boolean; message: string }>();
  const scheme = task.scheme.find((each) => each.item === item.item);
  const waits = item.earned === null;
  return (
    <fetcher.Form method="post" className="grid gap-1">
      <input type="hidden" name="task" value={task.key} />
      <input type="hidden" name="item" value={item.item} />
      <p>
        <strong>
          {item.item}: {waits ? "waits for you" : `${item.earned} of ${item.possible}`}
        </strong>
        {item.marker === "teacher" && <span className="note-small"> by you{item.former > 0 ? ", the former mark is kept" : ""}</span>}
      </p>
      <p className="note-small">{item.reason}</p>
      {waits && item.suggested !== null && <p className="note-small">Suggested: {item.suggested}</p>}
      {scheme && <p className="note-small whitespace-pre-wrap">Scheme: {scheme.words}</p>}
      <details open={waits}>
        <summary className="cursor-pointer text-sm text-steel-deep">{waits ? "Give the mark" : "Overrule"}</summary>
        <div className="flex items-end gap-2">
          <label className="text-sm">
            Mark
            <input
              type="number"
              name="earned"
              min={0}
              max={item.possible}
              step={0.5}
              defaultValue={item.earned ?? item.suggested ?? 0}
              className="field w-20"
              required
            />
          </label>
          <label className="grow text-sm">
            {waits ? "Word to the student" : "Reason"}
            <input name="reason" className="field" required={!waits} />
          </label>
          <button className="press" type="submit">
            Give
          </button>
        </div>
      </details>
      {fetcher.data && !fetcher.data.ok && <p role="alert">{fetcher.data.message}</p>}
    </fetcher.Form>
  );
}
