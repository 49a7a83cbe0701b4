import { data } from "react-router";
import { courseTerms, saidAt } from "../../core/wording/choices.ts";
import { findWording } from "../../core/wording/wordings.ts";
import { findCourse } from "../../server/people/courseStore.ts";
import type { Route } from "./+types/glossaryPage.ts";
import { PrintPage } from "./PrintPage.tsx";

export const meta: Route.MetaFunction = () => [{ title: "Glossary, for print" }];

export async function loader({ params, context }: Route.LoaderArgs) {
  const course = await findCourse(context.services.database, params.courseKey);
  if (!course) throw data("There is no such course.", { status: 404 });
  const wording = findWording(course.wording);
  const classNames: Readonly<Record<string, string>> = wording.labels;
  return {
    name: course.name,
    terms: courseTerms
      .map(({ id, usual, means, also }) => {
        const here = wording.chosen?.terms[id] || classNames[id] || usual;
        return { here, means, also: [usual, ...also].filter((word) => word !== here) };
      })
      .sort((one, other) => one.here.localeCompare(other.here)),
    said: wording.chosen ? saidAt("students", wording.chosen) : [],
  };
}

/** The terms of a course in its own words, what each means, and what others call the same. */
export default function Glossary({ loaderData: { name, terms, said } }: Route.ComponentProps) {
  return (
    <PrintPage title="Words that we use" under={name}>
      <table className="w-full text-left">
        <thead>
          <tr className="border-b border-black">
            {["here", "what it means", "elsewhere also"].map((each) => (
              <th key={each} scope="col" className="pr-4 pb-1">
                {each}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {terms.map(({ here, means, also }) => (
            <tr key={here} className="keep-together border-b border-black/30 align-top">
              <th scope="row" className="pr-4">
                {here}
              </th>
              <td className="pr-4">{means}</td>
              <td>{also.join(", ")}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {said.length > 0 && (
        <section>
          <h2>In this course</h2>
          <ul className="list-disc pl-5">
            {said.map(({ id, says }) => (
              <li key={id}>{says}</li>
            ))}
          </ul>
        </section>
      )}
    </PrintPage>
  );
}
