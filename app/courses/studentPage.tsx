import { data, Form, Link } from "react-router";
import { listCases } from "../../server/cases/listStore.ts";
import type { Database } from "../../server/database/database.ts";
import { findCourse, listCourses, listStudents } from "../../server/people/courseStore.ts";
import { type SatSheet, satBy } from "../../server/results/satSheets.ts";
import { act } from "../actions.ts";
import { CaseList } from "../components/CaseList.tsx";
import type { Route } from "./+types/studentPage.ts";
import { studentActions } from "./actions/studentActions.ts";

export const meta: Route.MetaFunction = () => [{ title: "Student · Bent Nail" }];

async function find(database: Database, params: Route.LoaderArgs["params"]) {
  const course = await findCourse(database, params.courseKey);
  const student =
    course && (await listStudents(database, course.key, "all")).find((each) => each.key === params.studentKey);
  if (!course || !student) throw data("There is no such student in this course.", { status: 404 });
  return { course, student };
}

export async function loader({ params, context }: Route.LoaderArgs) {
  const { course, student } = await find(context.services.database, params);
  const { rows, total } = await listCases(context.services.database, { judged: null, page: 0, student: student.key });
  return {
    course: { key: course.key, name: course.name },
    student: { key: student.key, label: student.label, depth: student.depth, left: student.left_at !== null },
    others: (await listCourses(context.services.database))
      .filter(({ key }) => key !== course.key)
      .map(({ key, name }) => ({ key, name })),
    rows,
    total,
    sat: await satBy(context.services, student.key),
  };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const { student } = await find(context.services.database, params);
  return act(studentActions, request, { services: context.services, student });
}

/** The sheets that the student has sat, in the order of time, with what was earned. */
function SatSheets({ sat }: { sat: readonly SatSheet[] }) {
  return (
    <table className="leaf w-full">
      <caption className="px-3 py-1 text-left font-semibold">Sheets, over time</caption>
      <thead>
        <tr className="border-b-2 border-rule-strong text-left">
          {["Sheet", "Handed in", "Earned", "Share"].map((title) => (
            <th key={title} scope="col" className="px-3 py-1">
              {title}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {sat.map(({ key, sheet, title, attempt, handedInAt, earned, possible, waiting }) => (
          <tr key={key} className="border-b border-rule">
            <td className="px-3 py-1">
              <Link className="link" to={`/sheets/${sheet}/marks/${key}`}>
                {title}
              </Link>
              {attempt > 1 && <span className="note-small">, try {attempt}</span>}
            </td>
            <td className="px-3 py-1">
              {handedInAt === null
                ? "sitting"
                : new Date(handedInAt).toLocaleString("en-GB", { dateStyle: "medium", timeStyle: "short" })}
            </td>
            <td className="px-3 py-1">
              {possible > 0 && `${earned} of ${possible}`}
              {waiting > 0 && <span className="note-small"> {waiting} to read</span>}
            </td>
            <td className="px-3 py-1">
              {possible > 0 && waiting === 0 && `${Math.round((100 * earned) / possible)} %`}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

export default function Student({ loaderData, actionData }: Route.ComponentProps) {
  const { course, student, rows, total, others, sat } = loaderData;
  return (
    <div className="grid max-w-3xl gap-4">
      <header>
        <p className="note-small">
          <Link className="link" to={`/courses/${course.key}`}>
            {course.name}
          </Link>
        </p>
        <h1>{student.label}</h1>
        {student.left && <p>Has left the course: in no list, with everything kept.</p>}
      </header>
      {actionData?.message && (
        <p role="status" className="border-l-4 border-steel bg-slip px-3 py-2">
          {actionData.message}
        </p>
      )}
      {sat.length > 0 && <SatSheets sat={sat} />}
      {rows.length > 0 && <CaseList rows={rows} />}
      {total > rows.length && <p className="note-small">and {total - rows.length} more in the Casebook</p>}
      <Form method="post" className="leaf flex flex-wrap items-end gap-3 p-3">
        <label>
          Label
          <input key={student.label} name="label" className="field" defaultValue={student.label} required />
        </label>
        <button className="press" name="intent" value="rename" type="submit">
          Change the label
        </button>
      </Form>
      <section className="leaf flex flex-wrap items-end gap-x-6 gap-y-3 p-3" aria-label="In the course">
        <Form method="post">
          <button className="press" name="intent" value="new code" type="submit">
            A new personal code
          </button>
        </Form>
        <Form method="post">
          {!student.left && <input type="hidden" name="left" value="yes" />}
          <button className="press" name="intent" value="leave" type="submit">
            {student.left ? "Is in the course again" : "Has left the course"}
          </button>
        </Form>
        {others.length > 0 && (
          <Form method="post" className="flex items-end gap-2">
            <label>
              Moves to
              <select name="course" className="field">
                {others.map(({ key, name }) => (
                  <option key={key} value={key}>
                    {name}
                  </option>
                ))}
              </select>
            </label>
            <button className="press" name="intent" value="move" type="submit">
              Move
            </button>
          </Form>
        )}
        <p className="note-small w-full">Programs and sittings stay where they were handed in.</p>
      </section>
      <Form method="post" className="leaf flex flex-wrap items-end gap-3 p-3">
        <label>
          Messages are explained
          <select name="depth" className="field" defaultValue={student.depth ?? ""}>
            <option value="">as to the course</option>
            <option value="short">in one sentence, with where it usually comes from</option>
            <option value="full">with all that is known of them</option>
          </select>
        </label>
        <button className="press" name="intent" value="depth" type="submit">
          Keep
        </button>
      </Form>
      <Form method="post" className="leaf grid gap-2 p-3">
        <h2 className="text-base">Replace a name everywhere</h2>
        <p className="note-small">
          In this student’s programs, file names, outputs, words, notes and checks. What was handed in is changed by
          this, for good.
        </p>
        <div className="flex flex-wrap items-end gap-3">
          <label>
            The name, as it stands there
            <input name="name" className="field" required autoComplete="off" />
          </label>
          <label>
            By
            <input name="by" className="field" defaultValue={student.label} autoComplete="off" />
          </label>
          <button className="press" name="intent" value="replace" type="submit">
            Replace it
          </button>
        </div>
      </Form>
      <section className="leaf grid gap-2 p-3" aria-label="Everything about this student">
        <p>
          <a className="link" href={`/courses/${course.key}/students/${student.key}/export`} download>
            Export everything about this student
          </a>{" "}
          <span className="note-small">as JSON</span>
        </p>
        <Form method="post" className="flex flex-wrap items-end gap-3">
          <label>
            To delete everything, type the label
            <input name="sure" className="field" autoComplete="off" />
          </label>
          <button className="press" name="intent" value="delete" type="submit">
            Delete for good
          </button>
        </Form>
      </section>
    </div>
  );
}
