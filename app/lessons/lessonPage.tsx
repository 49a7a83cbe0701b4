import { data, Form, Link, useNavigation } from "react-router";
import { ideas } from "../../core/lessons/ideas.ts";
import { openings } from "../../core/lessons/lesson.ts";
import { partKinds } from "../../core/lessons/parts.ts";
import type { Database } from "../../server/database/database.ts";
import { listTeachable } from "../../server/exercises/exerciseStore.ts";
import { exercisesTold } from "../../server/lessons/exercisesTold.ts";
import { findLesson, neighboursOf } from "../../server/lessons/lessonStore.ts";
import { lessonView } from "../../server/lessons/lessonView.ts";
import { ownWordsOf } from "../../server/lessons/ownWordsStore.ts";
import { listSheets } from "../../server/sheets/sheetStore.ts";
import { act, readAnewWhenStale } from "../actions.ts";
import { readForm } from "../forms.ts";
import type { Route } from "./+types/lessonPage.ts";
import { lessonActions } from "./actions/ofLesson.ts";
import { openingWords } from "./openingWords.ts";
import { PartToChange } from "./PartToChange.tsx";
import { ReaderChoice } from "./ReaderChoice.tsx";

export const meta: Route.MetaFunction = ({ loaderData }) => [{ title: `${loaderData?.title ?? "Lesson"} · Bent Nail` }];

async function loadLesson(database: Database, key: string) {
  const lesson = await findLesson(database, key);
  if (!lesson) throw data("There is no such lesson.", { status: 404 });
  return lesson;
}

export async function loader({ params, context }: Route.LoaderArgs) {
  const { database } = context.services;
  const lesson = await loadLesson(database, params.lessonKey);
  const view = await lessonView(database, lesson, true);
  const [words, exercises, sheets, { before, after }, told] = await Promise.all([
    ownWordsOf(database, lesson.course),
    listTeachable(database),
    listSheets(database),
    neighboursOf(database, lesson, false),
    exercisesTold(database, lesson),
  ]);
  const shown = new Map(view.parts.map((part) => [part.key, part]));
  return {
    ...{ key: lesson.key, revision: lesson.revision, title: lesson.title, course: view.course, wording: view.wording },
    ...{ reader: view.reader.id, minutes: view.minutes, open: lesson.open, code: lesson.code, told },
    parts: lesson.content.parts.map((part) => ({ ...part, shown: shown.get(part.key) ?? null })),
    words: Object.fromEntries(words),
    choices: {
      exercises: exercises.map(({ key, title, classes, mended }) => ({ key, title, classes, mended })),
      sheets: sheets.map(({ key, title }) => ({ key, title })),
    },
    before: before && { key: before.key, title: before.title },
    after: after && { key: after.key, title: after.title },
  };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const lesson = await loadLesson(context.services.database, params.lessonKey);
  const form = await readForm(request.clone());
  return act(lessonActions, request, { services: context.services, lesson, form });
}

export const shouldRevalidate = readAnewWhenStale;

export default function LessonPage({ loaderData: view, actionData }: Route.ComponentProps) {
  const busy = useNavigation().state !== "idle";
  const revision = <input type="hidden" name="revision" value={view.revision} />;
  return (
    <div className="grid gap-5 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <section className="grid content-start gap-3" aria-labelledby="lesson-title">
        <header className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
          <h1 id="lesson-title">{view.title}</h1>
          <span className="note-small">
            {view.course} · {view.minutes} minutes in all
          </span>
          <nav aria-label="This lesson" className="ml-auto flex flex-wrap gap-4">
            <Link className="link" to={`/lessons/${view.key}/present`}>
              Before the class
            </Link>
            <Link className="link" to={`/print/lessons/${view.key}`}>
              Plan to print
            </Link>
          </nav>
        </header>
        {actionData?.message && (
          <p role={actionData.ok ? "status" : "alert"} className="leaf px-3 py-2">
            {actionData.message}
          </p>
        )}
        {view.told.map(({ title, sheet }) => (
          <p key={`${title} ${sheet}`} className="border-l-4 border-ochre bg-slip px-3 py-1">
            “{title}” is gone through in this lesson and stands on the sheet “{sheet}” as well.
          </p>
        ))}
        {view.parts.length === 0 && <p className="leaf p-4">It has no parts yet. Add the first one below.</p>}
        <ol className="grid gap-2">
          {view.parts.map((part, at) => (
            <PartToChange
              key={part.key}
              part={part}
              place={{ at, count: view.parts.length }}
              choices={view.choices}
              revision={view.revision}
              busy={busy}
            />
          ))}
        </ol>
        <Form method="post" className="leaf flex flex-wrap items-end gap-3 p-3" preventScrollReset>
          {revision}
          <label>
            One more part
            <select name="kind" className="field">
              {partKinds.map(({ kind, title }) => (
                <option key={kind} value={kind}>
                  {title}
                </option>
              ))}
            </select>
          </label>
          <button className="press" type="submit" name="intent" value="add" disabled={busy}>
            Add it
          </button>
          <details className="w-full">
            <summary className="cursor-pointer text-sm text-steel-deep">What the parts are</summary>
            <dl className="note-small grid gap-1 pt-1">
              {partKinds.map(({ kind, title, about }) => (
                <div key={kind}>
                  <dt className="font-semibold">{title}</dt>
                  <dd>{about}</dd>
                </div>
              ))}
            </dl>
          </details>
        </Form>
      </section>
      <aside className="grid content-start gap-4">
        <Form method="post" className="leaf grid gap-2 p-3" preventScrollReset>
          {revision}
          <label className="grid gap-1">
            Title
            <input name="title" className="field" defaultValue={view.title} key={view.title} maxLength={200} />
          </label>
          <ReaderChoice chosen={view.reader} />
          <div>
            <button className="press" type="submit" name="intent" value="keep" disabled={busy}>
              Keep it so
            </button>
          </div>
        </Form>
        <Form method="post" className="leaf grid gap-2 p-3" preventScrollReset>
          <h2>Students</h2>
          <p>It is {openingWords[view.open]}.</p>
          {view.open !== "closed" && (
            <p>
              They read it at{" "}
              <Link className="link" to={`/s/lesson/${view.code}`}>
                /s/lesson/{view.code}
              </Link>
              , or by its code where they enter a sheet’s: <strong className="font-mono">{view.code}</strong>
            </p>
          )}
          <input type="hidden" name="intent" value="open" />
          <div className="flex flex-wrap gap-2">
            {openings
              .filter((each) => each !== view.open)
              .map((each) => (
                <button key={each} className="press text-sm" type="submit" name="open" value={each} disabled={busy}>
                  {pressWords[each]}
                </button>
              ))}
          </div>
        </Form>
        <section className="leaf grid gap-2 p-3" aria-labelledby="own-words">
          <h2 id="own-words">Your own words</h2>
          <p className="note-small">
            A picture of yours stands beside what it is about: the kinds of error, and the mistakes that were met, in
            all lessons of this course.
          </p>
          {ideas.map(({ id, title }) => (
            <details key={id} open={false}>
              <summary className="cursor-pointer">
                {title} {view.words[id] && <span className="note-small">yours is kept</span>}
              </summary>
              <Form method="post" className="grid gap-1 pt-1" preventScrollReset>
                <input type="hidden" name="idea" value={id} />
                <textarea
                  name="words"
                  rows={3}
                  maxLength={2000}
                  className="field"
                  aria-label={`Your words: ${title}`}
                  defaultValue={view.words[id] ?? ""}
                />
                <div>
                  <button className="press text-sm" type="submit" name="intent" value="words" disabled={busy}>
                    Keep it so
                  </button>
                </div>
              </Form>
            </details>
          ))}
        </section>
        <nav aria-label="Lessons of this course" className="flex flex-wrap justify-between gap-2">
          {view.before ? (
            <Link className="link" to={`/lessons/${view.before.key}`} rel="prev">
              Before: {view.before.title}
            </Link>
          ) : (
            <span />
          )}
          {view.after && (
            <Link className="link" to={`/lessons/${view.after.key}`} rel="next">
              Next: {view.after.title}
            </Link>
          )}
        </nav>
        <details>
          <summary className="cursor-pointer text-sm text-steel-deep">Take this lesson away</summary>
          <Form method="post" className="pt-2">
            <button className="press" type="submit" name="intent" value="delete" disabled={busy}>
              Take it away for good
            </button>
          </Form>
        </details>
      </aside>
    </div>
  );
}

const pressWords = {
  closed: "Close it for students",
  before: "Open it without what comes out",
  whole: "Open it with what came out",
} as const;
