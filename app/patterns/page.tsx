import { Form, Link } from "react-router";
import { languages } from "../../core/languages/languages.ts";
import { exampleRecords } from "../../core/patterns/exampleRecords.ts";
import { patterns } from "../../core/patterns/patterns.ts";
import { countBy } from "../../server/casebook/questionStore.ts";
import { listOwnPatterns } from "../../server/cases/ownPatternStore.ts";
import { CasebookTabs } from "../casebook/CasebookTabs.tsx";
import { ClassMark } from "../components/marks.tsx";
import type { Route } from "./+types/page.ts";

export const meta: Route.MetaFunction = () => [{ title: "Patterns · Bent Nail" }];

export async function loader({ request, context }: Route.LoaderArgs) {
  const query = new URL(request.url).searchParams;
  const [words, language] = [(query.get("words") ?? "").slice(0, 100), query.get("language") ?? ""];
  const { database } = context.services;
  const [own, counts] = await Promise.all([listOwnPatterns(database.query), countBy(database.query, "pattern", {})]);
  const cases = new Map(counts.map(({ of, faults }) => [of, faults]));
  const fits = (texts: string[]) =>
    words
      .toLowerCase()
      .split(/\s+/)
      .every((word) => texts.join(" ").toLowerCase().includes(word));
  const shipped = patterns
    .filter(({ id, name, says, mends }) => fits([id, name, says, mends]))
    .filter(({ examples }) => !language || examples.some((each) => each.language === language))
    .map(({ id, name, says, fault, examples }) => ({
      ...{ id, name, says, fault, cases: cases.get(id) ?? 0 },
      /** In how many languages it shows as which class. */
      shows: [...new Set((exampleRecords[id] ?? []).map((each) => each.class))].filter((each) => each !== null),
      languages: new Set(examples.map((each) => each.language)).size,
    }))
    .sort((one, other) => other.cases - one.cases || one.name.localeCompare(other.name));
  return {
    ...{ words, language, shipped },
    own: own
      .filter(({ name, says, mends }) => fits([name, says, mends]))
      .map(({ key, id, name, says, recorded }) => ({
        key,
        id,
        name,
        says,
        ready: recorded !== null,
        cases: cases.get(id) ?? 0,
      })),
    languages: languages.filter(({ runs }) => runs !== false).map(({ id, name }) => ({ id, name })),
  };
}

export default function Patterns({ loaderData: view }: Route.ComponentProps) {
  return (
    <>
      <h1>Patterns: kinds of mistake</h1>
      <CasebookTabs />
      <Form className="mb-3 flex flex-wrap items-center gap-2" role="search" aria-label="Find kinds of mistake">
        <input
          type="search"
          name="words"
          className="field min-w-52 flex-1"
          aria-label="Words of a kind of mistake"
          placeholder="find a kind of mistake"
          defaultValue={view.words}
        />
        <select name="language" className="field w-auto" aria-label="Language" defaultValue={view.language}>
          <option value="">all languages</option>
          {view.languages.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
        <button className="press" type="submit">
          Find
        </button>
        <Link className="link" to="/patterns/own">
          Add one of your own
        </Link>
      </Form>
      {view.own.length > 0 && (
        <section aria-label="Your own" className="mb-4">
          <h2>Your own</h2>
          <ul className="leaf divide-y divide-rule">
            {view.own.map((each) => (
              <li key={each.key} className="flex gap-4 px-3 py-1.5">
                <span className="flex-1">
                  <Link className="link" to={`/patterns/own/${each.key}`}>
                    {each.name}
                  </Link>{" "}
                  <span className="note-small">{each.says}</span>
                </span>
                {!each.ready && <span className="note-small">no example that runs: not for exercises</span>}
                <Cases id={each.id} count={each.cases} />
              </li>
            ))}
          </ul>
        </section>
      )}
      {view.shipped.length === 0 ? (
        <p className="leaf p-5">No kind of mistake is like this. Look for fewer words.</p>
      ) : (
        <ul className="leaf divide-y divide-rule" aria-label="Kinds of mistake">
          {view.shipped.map((each) => (
            <li key={each.id} className="flex items-center gap-4 px-3 py-1.5">
              <span className="flex w-20 shrink-0 gap-1">
                {each.shows.map((of) => (
                  <ClassMark key={of} of={of} words={false} />
                ))}
              </span>
              <span className="flex-1">
                <Link className="link" to={`/patterns/${each.id}`}>
                  {each.name}
                </Link>{" "}
                <span className="note-small">{each.says}</span>
              </span>
              {!each.fault && <span className="note-small">no fault by itself</span>}
              <span className="note-small w-24 text-right">
                {each.languages} language{each.languages === 1 ? "" : "s"}
              </span>
              <Cases id={each.id} count={each.cases} />
            </li>
          ))}
        </ul>
      )}
    </>
  );
}

/** How many faults of one's own are of a kind, as the way to them. */
function Cases({ id, count }: { id: string; count: number }) {
  return (
    <span className="w-20 text-right">
      {count > 0 ? (
        <Link className="link" to={`/casebook?pattern=${encodeURIComponent(id)}`}>
          {count} fault{count === 1 ? "" : "s"}
        </Link>
      ) : (
        <span className="note-small">no case</span>
      )}
    </span>
  );
}
