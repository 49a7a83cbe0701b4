import type { ReactNode } from "react";
import { data, Form, Link } from "react-router";
import { findWording, wordings } from "../../core/wording/wordings.ts";
import { type ListedAssignment, listAssignments } from "../../server/assignments/assignmentStore.ts";
import { findCourse, listStudents } from "../../server/people/courseStore.ts";
import { codeGuesses, labelOfCourse } from "../../server/people/guesses.ts";
import { listTableStyles } from "../../server/people/tableStyleStore.ts";
import { act } from "../actions.ts";
import type { Route } from "./+types/coursePage.ts";
import { courseActions } from "./actions/courseActions.ts";
import { ChoicesForm } from "./ChoicesForm.tsx";
import { courseWays } from "./courseWays.ts";
import { TableStyleForm } from "./TableStyleForm.tsx";
import { WaysForm } from "./WaysForm.tsx";

export const meta: Route.MetaFunction = () => [{ title: "Course · Bent Nail" }];

export async function loader({ params, context }: Route.LoaderArgs) {
  const course = await findCourse(context.services.database, params.courseKey);
  if (!course) throw data("There is no such course.", { status: 404 });
  const all = await listStudents(context.services.database, course.key, "all");
  const students = all
    .filter(({ left_at }) => left_at === null)
    .map((student) => ({
      ...student,
      slowed: codeGuesses.slowed(labelOfCourse(course.key, student.label)).map(({ address, wrong, until }) => ({
        address,
        wrong,
        minutes: Math.max(1, Math.ceil((until.getTime() - Date.now()) / 60_000)),
      })),
    }));
  const assignments = await listAssignments(context.services.database, course.key);
  const gone = all.filter(({ left_at }) => left_at !== null).map(({ key, label }) => ({ key, label }));
  const ways = courseWays(course.ways);
  return {
    course,
    students,
    gone,
    assignments,
    ways,
    styles: await listTableStyles(context.services.database, course.key),
  };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  return act(courseActions, request, { services: context.services, course: params.courseKey });
}

export default function Course({ loaderData, actionData }: Route.ComponentProps) {
  const { course, students, gone, assignments, ways, styles } = loaderData;
  const spoken = findWording(course.wording);
  const said = (about: string) =>
    actionData?.intent === about && (
      <span role="status" className="ml-3">
        {actionData.message}
      </span>
    );
  return (
    <div className="grid gap-6 lg:grid-cols-2">
      <div className="grid content-start gap-4">
        <h1>{course.name}</h1>
        <p className="flex gap-5">
          <Link className="link" to={`/courses/${course.key}/digest`}>
            Week by week
          </Link>
          <Link className="link" to={`/casebook/questions?course=${course.key}`}>
            What the Casebook says of it
          </Link>
          <Link className="link" to={`/print/courses/${course.key}/glossary`}>
            Its words, to print
          </Link>
        </p>
        {students.length === 0 ? (
          <p className="leaf p-4">
            No students yet. A student is a label such as “S-01”, with a personal code that prints as a slip; there are
            no accounts.
          </p>
        ) : (
          <table className="leaf w-full">
            <thead>
              <tr className="border-b-2 border-rule-strong text-left">
                <th className="px-3 py-1">Label</th>
                <th className="px-3 py-1">Personal code</th>
              </tr>
            </thead>
            <tbody>
              {students.map((student) => (
                <tr key={student.key} className="border-b border-rule">
                  <td className="px-3 py-1">
                    <Link className="link" to={`/courses/${course.key}/students/${student.key}`}>
                      {student.label}
                    </Link>
                    {student.slowed.length > 0 && <SlowedDown label={student.label} slowed={student.slowed} />}
                  </td>
                  <td className="px-3 py-1 font-mono">{student.personal_code}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        {said("let in")}
        {students.length > 0 && (
          <p className="flex flex-wrap gap-5">
            <Link className="link" to={`/print/courses/${course.key}/slips`}>
              Slips with personal codes, to print
            </Link>
            <a className="link" href={`/courses/${course.key}/students.csv`} download>
              The list as CSV
            </a>
          </p>
        )}
        {gone.length > 0 && (
          <p className="note-small">
            Have left:{" "}
            {gone.map(({ key, label }, at) => (
              <span key={key}>
                {at > 0 && ", "}
                <Link className="link" to={`/courses/${course.key}/students/${key}`}>
                  {label}
                </Link>
              </span>
            ))}
          </p>
        )}
        <Form method="post" encType="multipart/form-data" className="leaf grid gap-2 p-3">
          <label>
            Labels of more students, one a line, or pasted from a spreadsheet
            <textarea name="labels" className="field" rows={3} />
          </label>
          <label>
            Or a CSV file with a column “label”, and “code” where the codes are the school’s
            <input type="file" name="list" accept=".csv,text/csv,text/plain" className="field" />
          </label>
          <div>
            <button className="press press-main" type="submit" name="intent" value="students">
              Add them
            </button>
            {said("students")}
          </div>
        </Form>
      </div>
      <div className="grid content-start gap-4">
        <Form method="post" className="leaf grid gap-3 p-3">
          <h2 className="text-base">How this course speaks</h2>
          <label>
            Names of the classes
            <select name="wording" className="field" defaultValue={spoken.id}>
              {wordings.map((wording) => (
                <option key={wording.id} value={wording.id}>
                  {wording.words}
                </option>
              ))}
            </select>
          </label>
          {spoken.note && <p className="note-small">{spoken.note}</p>}
          <label>
            {spoken.endless[0]?.toUpperCase()}
            {spoken.endless.slice(1)} counts as
            <select name="endless" className="field" defaultValue={course.endless_class}>
              <option value="logic">a logic error</option>
              <option value="runtime">a runtime error</option>
            </select>
          </label>
          <label>
            Messages are explained
            <select name="depth" className="field" defaultValue={course.depth}>
              <option value="short">in one sentence, with where it usually comes from</option>
              <option value="full">with all that is known of them</option>
            </select>
          </label>
          <div>
            <button className="press" type="submit" name="intent" value="policy">
              Keep
            </button>
            {said("policy")}
          </div>
        </Form>
        <ChoicesForm wording={spoken} said={said("choices")} />
        <WaysForm ways={ways} said={said("way")} />
        <TableStyleForm styles={styles} said={said("table style")} used={said("use style")} />
        <AssignmentList assignments={assignments} said={said("begin assignment")} taken={said("take assignment")} />
      </div>
    </div>
  );
}

/** What the course asks for: its assignments, and a new one. */
function AssignmentList({
  assignments,
  said,
  taken,
}: {
  assignments: readonly ListedAssignment[];
  said: ReactNode;
  taken: ReactNode;
}) {
  const counted = (count: number, one: string, many: string) => `${count} ${count === 1 ? one : many}`;
  return (
    <section className="leaf grid gap-3 p-3" aria-label="Assignments">
      <h2 className="text-base">Assignments</h2>
      {assignments.length === 0 ? (
        <p>
          An assignment says once what programs are to do: its checks judge every program that is handed in for it.
          Begin one, then take a set in or open its hand-in page.
        </p>
      ) : (
        <ul className="grid gap-2">
          {[...assignments.filter((each) => !each.put_away), ...assignments.filter((each) => each.put_away)].map(
            (each) => (
              <li key={each.key}>
                <Link className="link font-semibold" to={`/assignments/${each.key}`}>
                  {each.title}
                </Link>
                <p className="note-small">
                  {counted(each.cases, "program", "programs")}, {counted(each.checks, "check", "checks")},{" "}
                  {counted(each.models, "model", "models")}
                  {each.hand_in_open && "; students hand in"}
                  {each.put_away && "; put away"}
                </p>
              </li>
            ),
          )}
        </ul>
      )}
      <Form method="post" className="flex flex-wrap items-end gap-3">
        <label>
          Title of a new one
          <input name="title" className="field" required maxLength={200} />
        </label>
        <button className="press" type="submit" name="intent" value="begin assignment">
          Begin it
        </button>
        {said}
      </Form>
      <Form method="post" encType="multipart/form-data" className="flex flex-wrap items-end gap-3">
        <input type="hidden" name="intent" value="take assignment" />
        <label>
          Or take one from a file: assignment.json, or a zip of NAME.in with NAME.out
          <input type="file" name="file" multiple className="field" required />
        </label>
        <button className="press" type="submit">
          Take it
        </button>
        {taken}
      </Form>
    </section>
  );
}

/** Says of a label that wrong codes were tried for it too often, and lets its student try again. */
function SlowedDown({
  label,
  slowed,
}: {
  label: string;
  slowed: ReadonlyArray<{ address: string; wrong: number; minutes: number }>;
}) {
  const wrong = slowed.reduce((sum, each) => sum + each.wrong, 0);
  const minutes = Math.max(...slowed.map((each) => each.minutes));
  const from = slowed.length === 1 ? slowed[0]?.address : `${slowed.length} devices`;
  return (
    <Form method="post" className="mt-1 flex flex-wrap items-baseline gap-2">
      <span className="note-small">
        {wrong} wrong codes from {from}; none is taken from there for {minutes} more{" "}
        {minutes === 1 ? "minute" : "minutes"}
      </span>
      <input type="hidden" name="label" value={label} />
      <button className="press" type="submit" name="intent" value="let in">
        Let in again
      </button>
    </Form>
  );
}
