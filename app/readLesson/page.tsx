import { Link } from "react-router";
import { findOpenLesson, neighboursOf } from "../../server/lessons/lessonStore.ts";
import { lessonView } from "../../server/lessons/lessonView.ts";
import { partPartsOf } from "../lessons/parts/list.ts";
import { slowGuessing, unknownAddress } from "../unknownAddress.ts";
import type { Route } from "./+types/page.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [{ title: loaderData?.title ?? "Lesson" }];

/** A lesson for students to read: before it is held without what comes out, afterwards whole. */
export async function loader({ params, context }: Route.LoaderArgs) {
  const { database } = context.services;
  await slowGuessing(context.address);
  const lesson = await findOpenLesson(database, params.code);
  if (!lesson) throw unknownAddress(context.address, "There is no such lesson, or it is not open now.");
  const view = await lessonView(database, lesson, lesson.open === "whole");
  const { before, after } = await neighboursOf(database, lesson, true);
  const named = (each: typeof before) => each && { title: each.title, code: each.code };
  return { ...view, code: lesson.code, before: named(before), after: named(after) };
}

/** Leads to the lessons before and after. */
function Beside({ before, after }: Record<"before" | "after", { title: string; code: string } | null>) {
  return (
    <nav aria-label="Lessons of this course" className="no-print flex flex-wrap justify-between gap-3">
      {before ? (
        <Link className="link" to={`/s/lesson/${before.code}`} rel="prev">
          Before: {before.title}
        </Link>
      ) : (
        <span />
      )}
      {after && (
        <Link className="link" to={`/s/lesson/${after.code}`} rel="next">
          Next: {after.title}
        </Link>
      )}
    </nav>
  );
}

export default function ReadLesson({ loaderData: view }: Route.ComponentProps) {
  return (
    <main className="mx-auto grid max-w-3xl gap-5 p-4">
      <header className="grid gap-1">
        <p className="note-small">{view.course}</p>
        <h1>{view.title}</h1>
        <p className="note-small">
          {view.parts.length} {view.parts.length === 1 ? "part" : "parts"}, about {view.minutes}{" "}
          {view.minutes === 1 ? "minute" : "minutes"} in all
        </p>
      </header>
      {view.parts.map((part, at) => {
        const { Read } = partPartsOf(part.kind);
        return (
          <section key={part.key} className="grid gap-3 border-t border-rule pt-3" aria-labelledby={`part-${part.key}`}>
            <h2 id={`part-${part.key}`}>
              {at + 1}. {part.name}{" "}
              <span className="note-small font-normal">
                {part.takes} {part.takes === 1 ? "minute" : "minutes"}
              </span>
            </h2>
            <Read key={part.key} part={part} code={view.code} />
          </section>
        );
      })}
      <Beside before={view.before} after={view.after} />
    </main>
  );
}
