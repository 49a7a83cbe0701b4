import { data, Link, useFetcher } from "react-router";
import type { OwnNote } from "../../core/exercises/ownNote.ts";
import { type MarkedSitting, type MarkedTask, markedSitting } from "../../server/results/markedSitting.ts";
import { findSheet } from "../../server/sheets/sheetStore.ts";
import { act, type Reply } from "../actions.ts";
import { useReadAgainWhile } from "../components/useReadAgainWhile.ts";
import { GuessLog } from "../ownDryRun/OwnNotes.tsx";
import { partsOf } from "../tasks/list.ts";
import type { Route } from "./+types/page.ts";
import { sittingActions } from "./actions/list.ts";
import { MarkFields } from "./MarkFields.tsx";

export const meta: Route.MetaFunction = () => [{ title: "Marks of a student · Bent Nail" }];

export async function loader({
  params,
  context,
}: Route.LoaderArgs): Promise<MarkedSitting & { sheet: string; wording: string }> {
  const marked = await markedSitting(context.services, params.sittingKey);
  if (!marked) throw data("There is no such sitting.", { status: 404 });
  const sheet = await findSheet(context.services.database, params.sheetKey);
  return { ...marked, sheet: params.sheetKey, wording: sheet?.wording ?? "three" };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  return act(sittingActions, request, { services: context.services, who: context.who, sitting: params.sittingKey });
}

/** What a student told and guessed while looking for the faults of an exercise; it earns nothing. */
function Noted({ label, note }: { label: string; note: OwnNote }) {
  if (note.told === "" && note.guesses.length === 0) return null;
  return (
    <section className="leaf p-3" aria-label={`What ${label} noted`}>
      <h3>What {label} noted while looking for it</h3>
      {note.told !== "" && <p className="whitespace-pre-wrap">{note.told}</p>}
      <GuessLog guesses={note.guesses} />
    </section>
  );
}

export default function MarkSitting({ loaderData }: Route.ComponentProps) {
  const { label, exercises, sheet, handedIn, marking, otherScene } = loaderData;
  const again = useFetcher<Reply>();
  useReadAgainWhile(marking);
  return (
    <div className="grid max-w-5xl gap-5">
      <header className="flex items-baseline gap-4">
        <h1>Answers of {label}</h1>
        <span className="note-small">
          {handedIn ? "handed in" : "still sitting"}
          {otherScene && ", with other names and numbers"}
        </span>
        {handedIn && (
          <again.Form method="post" className="flex items-baseline gap-2">
            <button
              className="press"
              type="submit"
              name="intent"
              value="mark again"
              disabled={marking || again.state !== "idle"}
              title="Marks that you gave stay"
            >
              {marking ? "Being marked" : "Mark again"}
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
          <Noted label={label} note={exercise.note} />
          {exercise.tasks.map((task) => (
            <article key={task.key} className="leaf grid gap-3 p-3 md:grid-cols-[minmax(0,1fr)_20rem]">
              <div>
                <h3>{task.title}</h3>
                <AnswerOf task={task} />
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
  const fetcher = useFetcher<Reply>();
  const scheme = task.scheme.find((each) => each.item === item.item);
  return (
    <fetcher.Form method="post" className="grid gap-1">
      <input type="hidden" name="intent" value="give" />
      <input type="hidden" name="task" value={task.key} />
      <input type="hidden" name="item" value={item.item} />
      <MarkFields mark={item} former={item.former} says={scheme?.words} press="Give" />
      {fetcher.data && !fetcher.data.ok && <p role="alert">{fetcher.data.message}</p>}
    </fetcher.Form>
  );
}

/** What a student answered, as the kind of task shows it best. */
function AnswerOf({ task }: { task: MarkedTask }) {
  const { Answer } = partsOf(task.kind);
  if (task.compared === null) return <p className="note-small">No answer.</p>;
  return <Answer compared={task.compared} />;
}
