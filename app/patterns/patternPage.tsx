import { data, Form, Link, redirect, useNavigation } from "react-router";
import { neutralOf } from "../../core/exercises/planting/neutral/neutralPrograms.ts";
import { languages } from "../../core/languages/languages.ts";
import { languageName } from "../../core/languages/named.ts";
import { cardOf, howItShows } from "../../core/patterns/cards.ts";
import { exampleRecords } from "../../core/patterns/exampleRecords.ts";
import { findPattern } from "../../core/patterns/patterns.ts";
import { caseOfExample } from "../../server/casebook/exerciseOfExample.ts";
import { listSeen } from "../../server/casebook/seenStore.ts";
import { CasebookTabs } from "../casebook/CasebookTabs.tsx";
import { FixSlip } from "../components/FixSlip.tsx";
import { ClassMark } from "../components/marks.tsx";
import { readForm, wholeNumber } from "../forms.ts";
import type { Route } from "./+types/patternPage.ts";
import { ExampleView } from "./ExampleView.tsx";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${(loaderData as { name?: string } | undefined)?.name ?? "Pattern"} · Bent Nail` },
];

/** Cases of one's own that a page shows. */
const casesShown = 8;

export async function loader({ params, context }: Route.LoaderArgs) {
  const pattern = findPattern(params.patternId);
  if (!pattern) throw data("There is no such kind of mistake.", { status: 404 });
  const { id, name, says, mends, cause, avoid, fault, examples } = pattern;
  const cases = await listSeen(context.services.database.query, { pattern: id }, casesShown);
  return {
    ...{ id, name, says, mends, cause, avoid, fault },
    card: cardOf(pattern),
    /** Languages that have programs in which it may be planted; whether it can be, planning it finds out. */
    plants: languages
      .filter(({ id: own }) => neutralOf(own).length > 0 && examples.some(({ language }) => language === own))
      .map((language) => ({ id: language.id, name: language.name })),
    examples: examples.map((example, at) => {
      const record = exampleRecords[id]?.[at];
      return {
        ...example,
        name: languageName(example.language),
        ...(record ? { record, shows: howItShows(record) } : { record: null, shows: "" }),
      };
    }),
    // Without the labels of students: the page is shown in class.
    cases: cases.map(({ faulty_case, title, language, message, fix, class: of, kind }) => ({
      ...{
        key: faulty_case,
        title,
        language: languageName(language),
        message: message ?? "",
        of,
        kind,
      },
      fix: (fix ?? []).slice(0, 1),
    })),
  };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const pattern = findPattern(params.patternId);
  const form = await readForm(request);
  const at = wholeNumber(String(form.get("example") ?? ""), { from: 0, to: 100, otherwise: 0 });
  const example = pattern?.examples[at];
  if (!pattern || !example) throw data("There is no such example.", { status: 404 });
  const made = await caseOfExample(context.services, context.who, example, pattern);
  return made.ok ? redirect(`/cases/${made.case}/exercise`) : { problem: made.message };
}

/** How far the line that the tool named is from the faulty one, in words. */
function distanceWords(reported: number | null, faulty: number): string {
  if (reported === null) return "none";
  const off = reported - faulty;
  return off === 0 ? `line ${reported}, the faulty one` : `line ${reported}; the faulty one is ${faulty}`;
}

export default function PatternPage({ loaderData: view, actionData }: Route.ComponentProps) {
  const busy = useNavigation().state !== "idle";
  const languages = new Set(view.examples.map((each) => each.language));
  return (
    <>
      <h1>{view.name}</h1>
      <CasebookTabs />
      {actionData?.problem && (
        <p role="alert" className="mb-3 border-l-4 border-ochre pl-3">
          {actionData.problem}
        </p>
      )}
      <div className="grid items-start gap-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,24rem)]">
        <div className="grid gap-5">
          <section className="leaf grid gap-1 p-4" aria-label="What it is">
            <p className="text-lg">{view.says}</p>
            {!view.fault && <p className="font-semibold">It is no fault by itself.</p>}
            <p>
              <strong>Why it happens:</strong> {view.cause}
            </p>
            <p>
              <strong>How it is mended:</strong> {view.mends}
            </p>
            <p>
              <strong>How it is avoided:</strong> {view.avoid}
            </p>
          </section>
          <section aria-label="In the languages">
            <h2 className="mb-1">
              {languages.size === 1 ? "How it shows" : `The same mistake, ${languages.size} languages`}
            </h2>
            <div className="overflow-x-auto" tabIndex={0}>
              <table className="leaf w-full text-left">
                <thead>
                  <tr className="border-b-2 border-rule-strong">
                    {["language", "class", "how it shows", "what the tool says", "the line that it names"].map(
                      (each) => (
                        <th key={each} scope="col" className="px-3 py-1.5">
                          {each}
                        </th>
                      ),
                    )}
                  </tr>
                </thead>
                <tbody>
                  {view.examples.map((each, at) => (
                    <tr key={`${each.language} ${at}`} className="border-b border-rule align-top">
                      <th scope="row" className="px-3 py-1 font-semibold">
                        <a className="link" href={`#example-${at}`}>
                          {each.name}
                        </a>
                      </th>
                      <td className="px-3 py-1">
                        {each.record?.class ? (
                          <ClassMark of={each.record.class} kind={each.record.kind} />
                        ) : (
                          "no fault shown"
                        )}
                      </td>
                      <td className="px-3 py-1">{each.shows}</td>
                      <td className="px-3 py-1 font-mono text-sm">
                        {each.record?.message?.slice(0, 140) ?? "nothing"}
                      </td>
                      <td className="px-3 py-1">
                        {each.record ? distanceWords(each.record.reportedLine, each.record.faultyLine) : ""}
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
          </section>
          <section aria-label="Examples" className="grid gap-4 xl:grid-cols-2">
            {view.examples.map((each, at) => (
              <article key={`${each.language} ${at}`} id={`example-${at}`} className="leaf p-3">
                <h3 className="mb-1 flex items-center gap-2">
                  {each.name}
                  {view.fault && (
                    <Form method="post" className="ml-auto">
                      <button className="press text-sm" name="example" value={at} type="submit" disabled={busy}>
                        Make an exercise of it
                      </button>
                    </Form>
                  )}
                </h3>
                <ExampleView right={each.right} faulty={each.faulty} input={each.input} />
                {each.record?.class === "logic" && (
                  <dl className="mt-2 grid grid-cols-[auto_minmax(0,1fr)] gap-x-3 font-mono text-sm">
                    <dt className="font-sans">intended</dt>
                    <dd className="whitespace-pre-wrap">{each.record.intended.trimEnd()}</dd>
                    <dt className="font-sans">comes out</dt>
                    <dd className="line-clamp-3 whitespace-pre-wrap">{each.record.printed.trimEnd() || "nothing"}</dd>
                  </dl>
                )}
              </article>
            ))}
          </section>
        </div>
        <div className="grid gap-5">
          {view.fault && view.plants.length > 0 && (
            <Form method="post" action="/plans/new" className="leaf flex flex-wrap items-end gap-3 p-3">
              <h2 className="w-full">Exercises of it</h2>
              <input type="hidden" name="pattern" value={view.id} />
              <label>
                Language
                <select name="language" className="field">
                  {view.plants.map(({ id, name }) => (
                    <option key={id} value={id}>
                      {name}
                    </option>
                  ))}
                </select>
              </label>
              <label>
                How many
                <input name="count" type="number" min={1} max={6} defaultValue={2} className="field w-20" />
              </label>
              <button className="press" type="submit" name="intent" value="of pattern">
                Plan them
              </button>
              <p className="note-small">Planted in programs of nobody’s, run, and proven.</p>
            </Form>
          )}
          <section className="border-2 border-ink bg-sheet p-4" aria-label="Card for students">
            <h2>{view.card.title}</h2>
            {view.card.short.map((line) => (
              <p key={line}>{line}</p>
            ))}
            <details className="mt-2">
              <summary className="cursor-pointer text-sm font-semibold text-steel-deep">The longer card</summary>
              {view.card.long.map((line) => (
                <p key={line}>{line}</p>
              ))}
            </details>
            <p className="note-small mt-2">
              <Link className="link" to={`/print/patterns/${view.id}`}>
                Print the card
              </Link>
            </p>
          </section>
          <section className="leaf p-3" aria-label="Your own cases of it">
            <h2>Your own cases of it</h2>
            {view.cases.length === 0 ? (
              <p>None yet. A case is of this kind once you say so, or once the evidence suggests it.</p>
            ) : (
              <>
                <ul className="divide-y divide-rule">
                  {view.cases.map((each) => (
                    <li key={`${each.key} ${each.message}`} className="py-1.5">
                      <Link className="link" to={`/cases/${each.key}`}>
                        {each.title}
                      </Link>{" "}
                      <span className="note-small">{each.language}</span>
                      <FixSlip hunks={each.fix} />
                    </li>
                  ))}
                </ul>
                <Link className="link" to={`/casebook?pattern=${view.id}`}>
                  All of them
                </Link>
              </>
            )}
          </section>
        </div>
      </div>
    </>
  );
}
