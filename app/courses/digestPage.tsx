import { data, Link } from "react-router";
import { digestOf } from "../../server/casebook/digest.ts";
import { findCourse } from "../../server/people/courseStore.ts";
import { TopMistakes } from "../casebook/TopMistakes.tsx";
import { ClassMark } from "../components/marks.tsx";
import type { Route } from "./+types/digestPage.ts";

export const meta: Route.MetaFunction = () => [{ title: "Week by week · Bent Nail" }];

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const course = await findCourse(context.services.database, params.courseKey);
  if (!course) throw data("There is no such course.", { status: 404 });
  const week = new URL(request.url).searchParams.get("week");
  return {
    course: { key: course.key, name: course.name },
    wording: course.wording,
    digest: await digestOf(context.services.database, course.key, week),
  };
}

const share = (faults: number, programs: number) => (programs === 0 ? "none" : (faults / programs).toFixed(2));

/** A week of a course: what came in, what it is to the week before, what is worth talking about, and who needs help. */
export default function DigestPage({ loaderData: { course, digest } }: Route.ComponentProps) {
  if (!digest)
    return (
      <>
        <h1>{course.name}, week by week</h1>
        <p className="leaf mt-3 p-4">
          No programs yet.{" "}
          <Link className="link" to="/collect">
            Collect a class
          </Link>{" "}
          first.
        </p>
      </>
    );
  const at = digest.weeks.indexOf(digest.week);
  const [earlier, later] = [digest.weeks[at - 1], digest.weeks[at + 1]];
  const { until } = digest;
  const cases = (id: string) =>
    `/casebook?${new URLSearchParams({ course: course.key, pattern: id, since: digest.week, until })}`;
  return (
    <div className="grid gap-4">
      <header className="flex flex-wrap items-baseline gap-x-5">
        <h1>
          <Link className="link" to={`/courses/${course.key}`}>
            {course.name}
          </Link>
          , week of {digest.week}
        </h1>
        <nav aria-label="Weeks" className="flex gap-4">
          {earlier && (
            <Link className="link" to={`?week=${earlier}`}>
              the week before
            </Link>
          )}
          {later && (
            <Link className="link" to={`?week=${later}`}>
              the next week
            </Link>
          )}
        </nav>
      </header>
      <section className="leaf flex flex-wrap items-baseline gap-x-8 gap-y-1 p-3" aria-label="In short">
        <p>
          <strong>{digest.programs}</strong> programs, <strong>{digest.faults}</strong> faults
        </p>
        <p>
          <strong>{share(digest.faults, digest.programs)}</strong> faults a program
          {digest.before && `; ${share(digest.before.faults, digest.before.programs)} the week before`}
        </p>
        {digest.classes.map(({ class: of, faults }) => (
          <p key={of} className="flex items-center gap-2">
            <ClassMark of={of} /> {faults}
          </p>
        ))}
        <Link className="link" to={`/casebook/questions?ask=weeks&course=${course.key}`}>
          all weeks drawn
        </Link>
      </section>
      <TopMistakes
        mistakes={digest.mistakes}
        cases={cases}
        lesson={{ course: course.key, since: digest.week, until }}
      />
      <div className="grid items-start gap-4 lg:grid-cols-2">
        <section className="leaf p-3" aria-label="Who needs help with what">
          <h2>Who needs help with what</h2>
          {digest.students.rows.length === 0 ? (
            <p>Nobody has made one mistake twice so far.</p>
          ) : (
            <ul>
              {digest.students.rows.slice(0, 8).map(({ cells, filter }) => (
                <li key={cells.join(" ")}>
                  <Link
                    className="link"
                    to={`/casebook?${new URLSearchParams({ course: course.key, ...(filter as Record<string, string>) })}`}
                  >
                    {cells[0]}
                  </Link>
                  : {cells[1]} ({cells[2]} times, up to this week)
                </li>
              ))}
            </ul>
          )}
        </section>
        <section className="leaf p-3" aria-label="Messages that did not help">
          <h2>Messages that did not help</h2>
          {digest.messages.rows.length === 0 ? (
            <p>None that is known of: no message was said to mislead, and each named the faulty line.</p>
          ) : (
            <ul>
              {digest.messages.rows.slice(0, 6).map(({ cells }) => (
                <li key={String(cells[0])}>
                  <code className="text-sm">{cells[0]}</code>: misleads {cells[1]}, named another line {cells[5]}
                </li>
              ))}
            </ul>
          )}
        </section>
      </div>
    </div>
  );
}
