import { Link, NavLink, useFetcher } from "react-router";
import type { Reply } from "../actions.ts";
import { Said, settled } from "../components/Said.tsx";

/** Title, course and the two pages of an assignment. */
export function AssignmentHead({
  assignment,
}: {
  assignment: {
    key: string;
    title: string;
    revision: number;
    putAway: boolean;
    course: { key: string; name: string };
  };
}) {
  const away = useFetcher<Reply>();
  const place = ({ isActive }: { isActive: boolean }) =>
    `border-b-3 px-1 py-0.5 font-semibold ${isActive ? "border-ink" : "border-transparent text-steel-deep hover:border-rule-strong"}`;
  const form = (
    <away.Form
      method="post"
      action={`/assignments/${assignment.key}`}
      className={
        assignment.putAway ? "mb-1 flex w-full items-baseline gap-3 border border-rule-strong bg-slip px-3 py-2" : ""
      }
    >
      <input type="hidden" name="revision" value={assignment.revision} />
      <input type="hidden" name="intent" value="put away" />
      {!assignment.putAway && <input type="hidden" name="away" value="on" />}
      {assignment.putAway && <span>This assignment is put away: it is offered nowhere and takes no hand-ins.</span>}
      <button className={`press ${assignment.putAway ? "" : "press-quiet"}`} type="submit">
        {assignment.putAway ? "Take it back" : "Put away"}
      </button>
      <Said reply={settled(away)} />
    </away.Form>
  );
  return (
    <header className="mb-3 flex flex-wrap items-baseline gap-x-6 gap-y-1">
      {assignment.putAway && form}
      <h1>{assignment.title}</h1>
      <p className="note-small mr-auto">
        an assignment of{" "}
        <Link className="link" to={`/courses/${assignment.course.key}`}>
          {assignment.course.name}
        </Link>
      </p>
      <nav aria-label="Pages of the assignment" className="flex items-baseline gap-4">
        <NavLink to={`/assignments/${assignment.key}`} end className={place}>
          What it asks for
        </NavLink>
        <NavLink to={`/assignments/${assignment.key}/overview`} className={place}>
          Overview
        </NavLink>
        <a className="link" href={`/assignments/${assignment.key}/export/assignment.json`} download>
          Save as a file
        </a>
        {!assignment.putAway && form}
      </nav>
    </header>
  );
}
