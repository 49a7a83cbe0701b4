import { Link, NavLink } from "react-router";

/** Title, course and the two pages of an assignment. */
export function AssignmentHead({
  assignment,
}: {
  assignment: { key: string; title: string; course: { key: string; name: string } };
}) {
  const place = ({ isActive }: { isActive: boolean }) =>
    `border-b-3 px-1 py-0.5 font-semibold ${isActive ? "border-ink" : "border-transparent text-steel-deep hover:border-rule-strong"}`;
  return (
    <header className="mb-3 flex flex-wrap items-baseline gap-x-6 gap-y-1">
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
      </nav>
    </header>
  );
}
