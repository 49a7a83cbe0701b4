import { Form, Link } from "react-router";
import { listExercises } from "../../server/exercises/exerciseStore.ts";
import { listCourses } from "../../server/people/courseStore.ts";
import { listSheets } from "../../server/sheets/sheetStore.ts";
import { act } from "../actions.ts";
import type { Route } from "./+types/page.ts";
import { beginSheet } from "./actions/beginSheet.ts";
import { takeSheetIn } from "./actions/takeSheetIn.ts";
import { stateWords } from "./stateWords.ts";

export const meta: Route.MetaFunction = () => [{ title: "Sheets · Bent Nail" }];

export async function loader({ context }: Route.LoaderArgs) {
  const { database } = context.services;
  const [sheets, courses, exercises] = await Promise.all([
    listSheets(database),
    listCourses(database),
    listExercises(database),
  ]);
  return {
    sheets,
    courses,
    exercises: exercises.map(({ key, title, marks, tasks }) => ({ key, title, marks, tasks })),
  };
}

export async function action({ request, context }: Route.ActionArgs) {
  return act([beginSheet, takeSheetIn], request, { services: context.services });
}

/** For which course a sheet is. */
function CourseChoice({ says, courses }: { says: string; courses: ReadonlyArray<{ key: string; name: string }> }) {
  return (
    <label>
      {says}
      <select name="course" className="field">
        {courses.map((course) => (
          <option key={course.key} value={course.key}>
            {course.name}
          </option>
        ))}
      </select>
    </label>
  );
}

export default function Sheets({ loaderData, actionData }: Route.ComponentProps) {
  const { sheets, courses, exercises } = loaderData;
  return (
    <div className="grid gap-6 lg:grid-cols-2">
      <section className="grid content-start gap-3" aria-labelledby="sheets-title">
        <header className="flex flex-wrap items-baseline gap-3">
          <h1 id="sheets-title">Sheets</h1>
          <Link className="link ml-auto" to="/plans/new">
            Plan exercises with planted faults
          </Link>
        </header>
        {sheets.length === 0 ? (
          <p className="leaf p-4">
            A sheet is an ordered set of exercises that students sit. Begin one below, then put exercises on it.
          </p>
        ) : (
          <ul className="leaf divide-y divide-rule">
            {sheets.map((sheet) => (
              <li key={sheet.key} className="flex flex-wrap items-baseline gap-3 px-3 py-2">
                <Link className="link" to={`/sheets/${sheet.key}`}>
                  {sheet.title}
                </Link>
                <span className="note-small">
                  {sheet.course_name} · {stateWords[sheet.state]}
                  {sheet.released_at ? " · marks released" : ""}
                </span>
                {sheet.state !== "draft" && (
                  <Link className="link ml-auto" to={`/sheets/${sheet.key}/marks`}>
                    Mark book
                  </Link>
                )}
              </li>
            ))}
          </ul>
        )}
        {courses.length === 0 ? (
          <p>
            A sheet belongs to a course:{" "}
            <Link className="link" to="/courses">
              begin a course first
            </Link>
            .
          </p>
        ) : (
          <Form method="post" className="leaf flex flex-wrap items-end gap-3 p-3">
            <label>
              Title of a new sheet
              <input name="title" className="field" required />
            </label>
            <CourseChoice says="Course" courses={courses} />
            <button className="press press-main" type="submit" name="intent" value="begin">
              Begin the sheet
            </button>
            {actionData?.intent === "begin" && <p role="alert">{actionData.message}</p>}
          </Form>
        )}
        {courses.length > 0 && (
          <Form method="post" encType="multipart/form-data" className="leaf flex flex-wrap items-end gap-3 p-3">
            <label>
              A sheet from another Bent Nail (sheet.json)
              <input name="file" type="file" accept=".json,application/json" className="field" required />
            </label>
            <CourseChoice says="Goes to" courses={courses} />
            <button className="press" type="submit" name="intent" value="take">
              Take it in
            </button>
            {actionData?.intent === "take" && <p role="alert">{actionData.message}</p>}
          </Form>
        )}
      </section>
      <section className="grid content-start gap-3" aria-labelledby="exercises-title">
        <h2 id="exercises-title">Exercises</h2>
        {exercises.length === 0 ? (
          <p className="leaf p-4">
            No exercises yet. Open a case in the{" "}
            <Link className="link" to="/casebook">
              Casebook
            </Link>{" "}
            and press “Make an exercise”.
          </p>
        ) : (
          <ul className="leaf divide-y divide-rule">
            {exercises.map((exercise) => (
              <li key={exercise.key} className="px-3 py-2">
                <Link className="link" to={`/exercises/${exercise.key}`}>
                  {exercise.title}
                </Link>{" "}
                <span className="note-small">
                  {exercise.tasks} {exercise.tasks === 1 ? "task" : "tasks"}, {exercise.marks} marks
                </span>
              </li>
            ))}
          </ul>
        )}
      </section>
    </div>
  );
}
