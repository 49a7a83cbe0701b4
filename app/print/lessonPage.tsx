import { data } from "react-router";
import { findLanguage } from "../../core/languages/languages.ts";
import { wordsBeside } from "../../core/lessons/ideas.ts";
import { findPattern } from "../../core/patterns/patterns.ts";
import { findAssignment } from "../../server/assignments/assignmentStore.ts";
import { topMistakes } from "../../server/casebook/topMistakes.ts";
import { ownWordsOf } from "../../server/lessons/ownWordsStore.ts";
import { findCourse } from "../../server/people/courseStore.ts";
import type { Route } from "./+types/lessonPage.ts";
import { PrintedProgram, PrintedWords, PrintPage } from "./PrintPage.tsx";

export const meta: Route.MetaFunction = () => [{ title: "Lesson page, for print" }];

export async function loader({ request, context }: Route.LoaderArgs) {
  const query = new URL(request.url).searchParams;
  const { database } = context.services;
  const assignment = await findAssignment(database, query.get("assignment") ?? "");
  const course = await findCourse(database, assignment?.course ?? query.get("course") ?? "");
  if (!course) throw data("There is no such course.", { status: 404 });
  const [since, until] = [query.get("since") ?? undefined, query.get("until") ?? undefined];
  const filter = { course: course.key, ...(assignment ? { assignment: assignment.key } : {}), since, until };
  const wanted = new Set(query.getAll("pattern"));
  const mistakes = (await topMistakes(database, filter, course.key)).filter(
    ({ id }) => wanted.size === 0 || wanted.has(id),
  );
  const words = await ownWordsOf(database, course.key);
  return {
    title: assignment?.title ?? course.name,
    under: [course.name, since && until ? `${since} to ${until}` : ""].filter((part) => part).join(" · "),
    mistakes: mistakes.map((each) => {
      const beside = wordsBeside(words, { pattern: each.id });
      const example = findPattern(each.id)?.examples[each.shipped ?? -1];
      return {
        ...each,
        words: beside,
        example: example ? { ...example, name: findLanguage(example.language)?.name ?? "" } : null,
      };
    }),
  };
}

/** What a class got wrong, for the next lesson: cards, places of their own programs without names, and an example to talk about. */
export default function Lesson({ loaderData: { title, under, mistakes } }: Route.ComponentProps) {
  return (
    <PrintPage title={`What we learn from: ${title}`} under={under}>
      {mistakes.map(({ id, card, examples, example, words }, at) => (
        <section key={id} className="keep-together grid gap-2">
          <h2>
            {at + 1}. {card.title}
          </h2>
          {card.long.map((line) => (
            <p key={line}>{line}</p>
          ))}
          <PrintedWords words={words} />
          {examples.map(({ case: key, before, after }) => (
            <div key={key} className="border-l-2 border-black pl-3 font-mono text-[10pt]">
              {before.map((line, index) => (
                <p key={`- ${index} ${line}`} className="whitespace-pre-wrap">
                  {after.length > 0 ? <del>{line}</del> : line}
                </p>
              ))}
              {after.map((line, index) => (
                <p key={`+ ${index} ${line}`} className="whitespace-pre-wrap">
                  {line}
                </p>
              ))}
            </div>
          ))}
          {example && (
            <div>
              <p>Find the slip in this program ({example.name}):</p>
              <PrintedProgram lines={example.faulty.trimEnd().split("\n")} />
            </div>
          )}
        </section>
      ))}
    </PrintPage>
  );
}
