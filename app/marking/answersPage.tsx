import { useRef } from "react";
import { data, Form, Link, useFetcher } from "react-router";
import { answersToTask } from "../../server/marks/moderation.ts";
import { findSheet } from "../../server/sheets/sheetStore.ts";
import { act, type Reply } from "../actions.ts";
import { useCourseWords } from "../components/marks.tsx";
import { Said } from "../components/Said.tsx";
import { useLetterKeys } from "../components/useLetterKeys.ts";
import { partsOf } from "../tasks/list.ts";
import type { Route } from "./+types/answersPage.ts";
import { decide } from "./actions/decide.ts";
import { keepRules, tryRules } from "./actions/rules.ts";
import { MarkFields } from "./MarkFields.tsx";

export const meta: Route.MetaFunction = () => [{ title: "All answers to a task · Bent Nail" }];

export async function loader({ params, context }: Route.LoaderArgs) {
  const [sheet, answers] = await Promise.all([
    findSheet(context.services.database, params.sheetKey),
    answersToTask(context.services, params.sheetKey, params.taskKey),
  ]);
  if (!sheet || !answers) throw data("There is no such task on this sheet.", { status: 404 });
  const { edition, ...rest } = answers;
  return { ...rest, edition: edition.number, sheet: sheet.key, sheetTitle: sheet.title, wording: sheet.wording };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  return act([decide, tryRules, keepRules], request, {
    ...{ services: context.services, who: context.who },
    ...{ sheet: params.sheetKey, task: params.taskKey },
  });
}

export default function AnswersToTask({ loaderData, actionData }: Route.ComponentProps) {
  const { exercise, title, groups, sheet, sheetTitle, scheme, edition, marks, kind } = loaderData;
  const inWords = useCourseWords();
  const students = groups.reduce((sum, group) => sum + group.labels.length, 0);
  const waiting = groups.filter((group) => group.waits).length;
  return (
    <div className="grid max-w-5xl gap-4">
      <header className="grid gap-1">
        <h1>{title}</h1>
        <p className="note-small">
          {exercise} · {sheetTitle}, edition {edition} · {marks} marks ·{" "}
          <Link className="link" to={`/sheets/${sheet}/marks`}>
            Mark book
          </Link>
        </p>
        <p role="status">
          {students} {students === 1 ? "answer" : "answers"}, {groups.length} different
          {waiting > 0 ? `; ${waiting} ${waiting === 1 ? "waits" : "wait"} for you` : ""}.
        </p>
      </header>
      {scheme.length > 0 && (
        <ul className="leaf grid gap-1 px-3 py-2 text-sm">
          {scheme.map(({ item, marks: possible, words }) => (
            <li key={item} className="whitespace-pre-wrap">
              <strong>
                {item}, {possible}:
              </strong>{" "}
              {inWords(words)}
            </li>
          ))}
        </ul>
      )}
      {loaderData.rules.length > 0 && (
        <details className="leaf px-3 py-2" open={actionData !== undefined}>
          <summary className="cursor-pointer font-semibold">Change the rules of this task</summary>
          <Form method="post" className="mt-2 grid gap-2">
            {loaderData.rules.map((rule, at) => (
              <div key={rule.name} className="flex flex-wrap items-baseline gap-2">
                {rule.isYesOrNo ? (
                  <select id={`rule-${at}`} name={`rule ${rule.name}`} className="field w-20" defaultValue={rule.value}>
                    <option value={0}>no</option>
                    <option value={1}>yes</option>
                  </select>
                ) : (
                  <input
                    id={`rule-${at}`}
                    name={`rule ${rule.name}`}
                    type="number"
                    min={0}
                    max={rule.to}
                    defaultValue={rule.value}
                    className="field w-20"
                  />
                )}
                <label htmlFor={`rule-${at}`} className="font-normal">
                  {rule.says}
                </label>
              </div>
            ))}
            <label>
              Why
              <input name="reason" className="field" maxLength={2000} />
            </label>
            <div className="flex flex-wrap items-baseline gap-3">
              <button className="press" type="submit" name="intent" value="try rules">
                Show who is affected
              </button>
              <button className="press press-main" type="submit" name="intent" value="keep rules">
                Mark anew by these rules
              </button>
            </div>
            <Said reply={actionData} />
            {loaderData.changes.map(({ number, reason }) => (
              <p key={number} className="note-small">
                Changed before: {reason}
              </p>
            ))}
          </Form>
        </details>
      )}
      {groups.length === 0 && <p className="leaf p-4">Nobody has handed in an answer to this task yet.</p>}
      <ol className="grid gap-3">
        {groups.map((group) => (
          <Group key={group.key} group={group} kind={kind} />
        ))}
      </ol>
      <p className="note-small">
        What you decide holds for the same answer of others, too, also of those who hand in later; former marks are
        kept. With the focus in an answer, the keys 0 to 9 give that mark to its first item that waits, and H adds a
        half to it.
      </p>
    </div>
  );
}

type GroupData = Route.ComponentProps["loaderData"]["groups"][number];

/** One answer, whose it is, and its marks to be decided. */
function Group({ group, kind }: { group: GroupData; kind: string }) {
  const { Answer } = partsOf(kind);
  const place = useRef<HTMLLIElement>(null);
  const keyed = useFetcher<Reply>();
  const first = group.items.find((item) => item.earned === null) ?? group.items[0];
  const give = (earned: number) => {
    if (!first || earned > first.possible) return;
    const fields = { intent: "decide", group: group.key, item: first.item, earned: String(earned), reason: "" };
    void keyed.submit(first.earned === null ? fields : { ...fields, reason: "Decided by your teacher." }, {
      method: "post",
    });
  };
  useLetterKeys(place, {
    ...Object.fromEntries(Array.from({ length: 10 }, (_, mark) => [String(mark), () => give(mark)])),
    h: () => give((first?.earned ?? first?.suggested ?? 0) + 0.5),
  });
  const { labels } = group;
  return (
    <li
      ref={place}
      tabIndex={0}
      className="leaf grid gap-3 p-3 md:grid-cols-[minmax(0,1fr)_22rem]"
      aria-label={`Answer of ${labels.join(", ")}`}
    >
      <div className="grid content-start gap-2">
        <p className="note-small">
          <strong>{labels.length === 1 ? "once" : `${labels.length} times`}</strong>: {labels.slice(0, 12).join(", ")}
          {labels.length > 12 ? ` and ${labels.length - 12} more` : ""}
          {group.scene > 0 && `; with other names and numbers (${group.scene})`}
        </p>
        {group.compared === null ? <p className="note-small">No answer.</p> : <Answer compared={group.compared} />}
      </div>
      <div className="grid content-start gap-3 border-l border-rule pl-3">
        {group.items.length === 0 && <p className="note-small">Not marked yet.</p>}
        {group.items.map((item) => (
          <ItemOfGroup key={`${item.item} ${item.earned}`} group={group} item={item} />
        ))}
        {keyed.data && !keyed.data.ok && <p role="alert">{keyed.data.message}</p>}
      </div>
    </li>
  );
}

function ItemOfGroup({ group, item }: { group: GroupData; item: GroupData["items"][number] }) {
  const fetcher = useFetcher<Reply>();
  const students = group.labels.length;
  return (
    <fetcher.Form method="post" className="grid gap-1">
      <input type="hidden" name="intent" value="decide" />
      <input type="hidden" name="group" value={group.key} />
      <input type="hidden" name="item" value={item.item} />
      <MarkFields mark={item} press={students > 1 ? `Give all ${students}` : "Give"} />
      {fetcher.data && <p role={fetcher.data.ok ? "status" : "alert"}>{fetcher.data.message}</p>}
    </fetcher.Form>
  );
}
