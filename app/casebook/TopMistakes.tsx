import { Form, Link } from "react-router";
import type { TopMistake } from "../../server/casebook/topMistakes.ts";

/** A place of a program with its mending, as lines. */
export function PlaceLines({ before, after }: { before: readonly string[]; after: readonly string[] }) {
  return (
    <div className="font-mono text-sm">
      {before.map((line, at) => (
        <p key={`- ${at} ${line}`} className="break-words whitespace-pre-wrap">
          {after.length > 0 ? <del>{line}</del> : line}
        </p>
      ))}
      {after.map((line, at) => (
        <p key={`+ ${at} ${line}`} className="bg-slip break-words whitespace-pre-wrap">
          <ins className="no-underline">{line}</ins>
        </p>
      ))}
    </div>
  );
}

const numbers = ["no", "one", "two", "three", "four", "five"];

/**
 * The mistakes that a class makes most, each with how many made it, two examples without names, and the card; those that are ticked go into a lesson
 * page, and of each an exercise can be made.
 */
export function TopMistakes({
  mistakes,
  cases,
  lesson,
}: {
  mistakes: readonly TopMistake[];
  /** The address of the cases behind a kind of mistake. */
  cases: (id: string) => string;
  /** What the lesson page is about: fields of its address. */
  lesson: Readonly<Record<string, string>>;
}) {
  if (mistakes.length === 0)
    return (
      <p className="leaf p-4">
        No kind of mistake is known yet: the programs are still to be judged, or show no fault.
      </p>
    );
  const title =
    mistakes.length === 1 ? "The mistake of this class" : `The ${numbers[mistakes.length]} mistakes of this class`;
  return (
    <section aria-label={title} className="grid gap-3">
      <h2>{title}</h2>
      {/* Each exercise is a form of its own; the boxes belong to the lesson's by name. */}
      <form id="lesson" method="get" action="/print/lesson" />
      {Object.entries(lesson).map(([name, value]) => (
        <input key={name} type="hidden" form="lesson" name={name} value={value} />
      ))}
      <ul className="grid gap-3 xl:grid-cols-2">
        {mistakes.map(({ id, card, faults, students, examples, shipped }) => (
          <li key={id} className="leaf grid content-start gap-2 p-3">
            <h3 className="flex flex-wrap items-baseline gap-x-3">
              <input
                type="checkbox"
                form="lesson"
                name="pattern"
                value={id}
                defaultChecked
                aria-label={`Into the lesson: ${card.title}`}
              />
              <Link className="link" to={`/patterns/${id}`}>
                {card.title}
              </Link>
              <Link className="link note-small ml-auto" to={cases(id)}>
                {faults} fault{faults === 1 ? "" : "s"} of {students} student{students === 1 ? "" : "s"}
              </Link>
            </h3>
            {card.short.map((line) => (
              <p key={line}>{line}</p>
            ))}
            {examples.map((place) => (
              <div key={place.case} className="border-l-2 border-rule pl-2">
                <p className="note-small">
                  {place.languageName}, line {place.line}
                </p>
                <PlaceLines {...place} />
              </div>
            ))}
            {shipped !== null && (
              <Form method="post" action={`/patterns/${id}`}>
                <button className="press text-sm" name="example" value={shipped} type="submit">
                  Make an exercise of it
                </button>
              </Form>
            )}
          </li>
        ))}
      </ul>
      <p>
        <button className="press press-main" type="submit" form="lesson">
          Put these into a lesson page
        </button>
      </p>
    </section>
  );
}
