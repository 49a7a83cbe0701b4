import { Link } from "react-router";
import { readerOf, readers } from "../../core/lessons/classTexts.ts";
import { wordsWhereMet } from "../../core/lessons/ideas.ts";
import { recapOf } from "../../core/lessons/recap.ts";
import { ownWordsOf } from "../../server/lessons/ownWordsStore.ts";
import { MetExample } from "../components/MetExample.tsx";
import { useClassWords, useCourseWords } from "../components/marks.tsx";
import type { Route } from "./+types/recapPage.ts";
import { PrintedWords, PrintPage } from "./PrintPage.tsx";
import { printedSheet } from "./printedSheet.ts";

export const meta: Route.MetaFunction = () => [{ title: "Recap card, for print" }];

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const { database } = context.services;
  const { head, exercises, courseKey } = await printedSheet(database, params.sheetKey, request.url);
  const reader = readerOf(new URL(request.url).searchParams.get("for") ?? "");
  const words = await ownWordsOf(database, courseKey);
  const recap = recapOf(exercises, reader).map((each) => ({
    ...each,
    words: wordsWhereMet(words, each.of, exercises),
  }));
  return { ...head, reader: reader.id, recap };
}

/** What a sheet was about, on a card for students: the kinds of error in the course's words, and how each is found. */
export default function Recap({ loaderData: { title, course, recap, large, reader } }: Route.ComponentProps) {
  const classWords = useClassWords();
  const inWords = useCourseWords();
  return (
    <PrintPage title={`What we met in: ${title}`} under={course} large={large}>
      <nav aria-label="Explained for" className="no-print flex flex-wrap gap-3 text-sm">
        Explained for:
        {readers.map(({ id, name }) =>
          id === reader ? (
            <strong key={id}>{name}</strong>
          ) : (
            <Link
              key={id}
              className="link"
              to={`?${new URLSearchParams({ for: id, ...(large ? { type: "large" } : {}) })}`}
            >
              {name}
            </Link>
          ),
        )}
      </nav>
      {recap.length === 0 && <p>There is no faulty program on this sheet.</p>}
      {recap.map(({ of, is, shows, find, examples, words }) => (
        <section key={of} className="keep-together grid gap-1">
          <h2>{classWords(of)}</h2>
          <p>{inWords(is)}</p>
          <p>{inWords(shows)}</p>
          <h3>How to find one</h3>
          <ul className="list-disc pl-5">
            {find.map((each) => (
              <li key={each}>{each}</li>
            ))}
          </ul>
          <PrintedWords words={words} />
          <h3>We had</h3>
          {examples.map((example, at) => (
            <MetExample key={at} example={example} />
          ))}
        </section>
      ))}
    </PrintPage>
  );
}
