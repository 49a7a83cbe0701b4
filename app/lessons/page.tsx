import { useState } from "react";
import { Form, Link } from "react-router";
import { listLessons } from "../../server/lessons/lessonStore.ts";
import { listCourses } from "../../server/people/courseStore.ts";
import { listSheets } from "../../server/sheets/sheetStore.ts";
import { act } from "../actions.ts";
import type { Route } from "./+types/page.ts";
import { beginLesson, moveDown, moveUp } from "./actions/listActions.ts";
import { openingWords } from "./openingWords.ts";
import { ReaderChoice } from "./ReaderChoice.tsx";

export const meta: Route.MetaFunction = () => [{ title: "Lessons · Bent Nail" }];

export async function loader({ context }: Route.LoaderArgs) {
  const { database } = context.services;
  const [lessons, courses, sheets] = await Promise.all([
    listLessons(database),
    listCourses(database),
    listSheets(database),
  ]);
  return {
    courses: courses.map(({ key, name }) => ({
      ...{ key, name },
      lessons: lessons.filter(({ course }) => course === key),
    })),
    sheets: sheets.map(({ key, title, course }) => ({ key, title, course })),
  };
}

export async function action({ request, context }: Route.ActionArgs) {
  return act([beginLesson, moveUp, moveDown], request, { services: context.services });
}

/** For which course, and with which of its sheets. */
function CourseAndSheet({
  courses,
  sheets,
}: {
  courses: ReadonlyArray<{ key: string; name: string }>;
  sheets: ReadonlyArray<{ key: string; title: string; course: string }>;
}) {
  const [chosen, setChosen] = useState(courses[0]?.key ?? "");
  return (
    <>
      <label className="grid gap-1">
        For the course
        <select name="course" className="field" value={chosen} onChange={(event) => setChosen(event.target.value)}>
          {courses.map(({ key, name }) => (
            <option key={key} value={key}>
              {name}
            </option>
          ))}
        </select>
      </label>
      <label className="grid gap-1">
        With the sheet
        <select key={chosen} name="sheet" className="field">
          {sheets
            .filter(({ course }) => course === chosen)
            .map(({ key, title }) => (
              <option key={key} value={key}>
                {title}
              </option>
            ))}
          <option value="">none: begin with no parts</option>
        </select>
      </label>
    </>
  );
}

export default function Lessons({ loaderData: { courses, sheets }, actionData }: Route.ComponentProps) {
  const having = courses.filter(({ lessons }) => lessons.length > 0);
  return (
    <div className="grid gap-6 lg:grid-cols-2">
      <section className="grid content-start gap-3" aria-labelledby="lessons-title">
        <h1 id="lessons-title">Lessons</h1>
        {having.length === 0 && (
          <p className="leaf p-4">
            A lesson takes a class from what the kinds of error are to a sheet of exercises, part by part. Begin one
            with a sheet that you have; each part can be changed or left out.
          </p>
        )}
        {having.map(({ key, name, lessons }) => (
          <div key={key} className="grid gap-1">
            <h2>{name}</h2>
            <ol className="leaf divide-y divide-rule">
              {lessons.map((lesson, at) => (
                <li key={lesson.key} className="flex flex-wrap items-baseline gap-3 px-3 py-2">
                  <span className="text-graphite">{at + 1}.</span>
                  <Link className="link" to={`/lessons/${lesson.key}`}>
                    {lesson.title}
                  </Link>
                  <span className="note-small">{openingWords[lesson.open]}</span>
                  <Form method="post" className="ml-auto flex gap-2">
                    <input type="hidden" name="lesson" value={lesson.key} />
                    <button
                      className="press press-quiet text-sm"
                      name="intent"
                      value="up"
                      type="submit"
                      disabled={at === 0}
                      aria-label={`${lesson.title}: earlier`}
                    >
                      Earlier
                    </button>
                    <button
                      className="press press-quiet text-sm"
                      name="intent"
                      value="down"
                      type="submit"
                      disabled={at === lessons.length - 1}
                      aria-label={`${lesson.title}: later`}
                    >
                      Later
                    </button>
                  </Form>
                </li>
              ))}
            </ol>
          </div>
        ))}
      </section>
      <section className="grid content-start gap-3" aria-labelledby="begin-title">
        <h2 id="begin-title">A new lesson</h2>
        {courses.length === 0 ? (
          <p className="leaf p-4">
            A lesson belongs to a course:{" "}
            <Link className="link" to="/courses">
              begin a course first
            </Link>
            .
          </p>
        ) : (
          <Form method="post" className="leaf grid gap-3 p-4">
            <label className="grid gap-1">
              Title
              <input name="title" className="field" required maxLength={200} />
            </label>
            <CourseAndSheet courses={courses} sheets={sheets} />
            <ReaderChoice />
            <p className="note-small">
              Programs that are gone through together are others than the sheet’s, where there are some of the kind. The
              changes of one sign are tried by running them, which takes some seconds.
            </p>
            <div>
              <button className="press press-main" type="submit" name="intent" value="begin">
                Begin the lesson
              </button>
            </div>
            {actionData?.intent === "begin" && <p role="alert">{actionData.message}</p>}
          </Form>
        )}
      </section>
    </div>
  );
}
