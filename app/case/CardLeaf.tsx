import { useState } from "react";
import { Link } from "react-router";
import type { Routine } from "../../core/languages/referenceCard.ts";
import { truthTable } from "../../core/languages/referenceCard.ts";
import type { CardView } from "./cardView.ts";
import type { CaseView } from "./caseView.ts";

const passedWords = (passed: boolean | null) => (passed === null ? "not known" : passed ? "yes" : "no");

/** What can be looked up without leaving the case: answers that this run gives, routines of its program, the rules of its language. */
export function CardLeaf({ view }: { view: CaseView }) {
  const { card } = view;
  if (!card) return null;
  return (
    <div className="grid gap-4">
      <section aria-label="Stages that this run passed">
        <h2 className="text-base">How far this run came</h2>
        <ol className="list-decimal pl-5">
          {card.stages.map(({ stage, passed, why }) => (
            <li key={stage}>
              {stage}: <strong>{passedWords(passed)}</strong>{" "}
              {passed === false && <span className="note-small">{why}</span>}
            </li>
          ))}
        </ol>
        {card.answers.map(({ asks, answer, because }) => (
          <details key={asks} className="mt-1">
            <summary className="cursor-pointer font-semibold text-steel-deep">{asks}</summary>
            <p>{answer}</p>
            {because && <p className="note-small">Seen here: {because}</p>}
          </details>
        ))}
      </section>
      {card.advice.length > 0 && (
        <section aria-label="Before it goes wrong">
          <h2 className="text-base">Before it goes wrong</h2>
          <p className="note-small">
            Places of this program where a mistake is easily made. None of them is a fault by itself.
          </p>
          <ul className="text-sm">
            {card.advice.map(({ line, says, pattern, patternName }) => (
              <li key={`${line} ${pattern}`}>
                line {line + view.firstLine - 1}: {says}{" "}
                <Link className="link whitespace-nowrap" to={`/patterns/${pattern}`}>
                  {patternName}
                </Link>
              </li>
            ))}
          </ul>
        </section>
      )}
      {card.routines.used.length > 0 && (
        <Routines title="Routines that this program uses" routines={card.routines.used} />
      )}
      {card.rows.length > 0 && (
        <section aria-label="Rules of the language">
          <h2 className="flex items-baseline gap-3 text-base">
            {view.language} at a glance
            <Link className="link text-sm" to={`/print/languages/${view.languageId}`}>
              Print
            </Link>
          </h2>
          <dl className="grid grid-cols-[8rem_minmax(0,1fr)] gap-x-3 gap-y-1 text-sm">
            {card.rows.map(({ about, rule, pattern, patternName }) => (
              <div key={about} className="contents">
                <dt className="font-semibold break-words">{about}</dt>
                <dd>
                  {rule}{" "}
                  {pattern && (
                    <Link
                      className="link whitespace-nowrap"
                      to={`/patterns/${pattern}`}
                      aria-label={`Kind of mistake: ${patternName}`}
                    >
                      {patternName}
                    </Link>
                  )}
                </dd>
              </div>
            ))}
          </dl>
        </section>
      )}
      <Questions card={card} />
      <section aria-label="And, or, not">
        <h2 className="text-base">And, or</h2>
        <table className="text-sm">
          <thead>
            <tr className="border-b border-rule-strong text-left">
              {["one", "other", "one and other", "one or other"].map((each) => (
                <th key={each} scope="col" className="pr-4">
                  {each}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {truthTable.map((row) => (
              <tr key={row.slice(0, 2).join()}>
                {row.map((value, at) => (
                  <td key={`${at}`} className="pr-4">
                    {value ? "true" : "false"}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      {card.routines.others.length > 0 && (
        <details>
          <summary className="cursor-pointer font-semibold text-steel-deep">More routines</summary>
          <Routines title="More routines" routines={card.routines.others} />
        </details>
      )}
    </div>
  );
}

function Routines({ title, routines }: { title: string; routines: readonly Routine[] }) {
  return (
    <section aria-label={title}>
      <h2 className="text-base">{title}</h2>
      <dl className="grid gap-1 text-sm">
        {routines.map(({ call, does }) => (
          <div key={call}>
            <dt className="inline font-mono">{call}</dt> <dd className="inline">{does}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

/** Whether two names are one in this language, and which positions a list of some length has. */
function Questions({ card }: { card: CardView }) {
  const [names, setNames] = useState(["load", "Load"]);
  const [length, setLength] = useState("5");
  const same = card.names.caseSensitive ? names[0] === names[1] : names[0]?.toLowerCase() === names[1]?.toLowerCase();
  const count = /^\d{1,6}$/.test(length) ? Number(length) : null;
  const first = card.firstIndex === "declared" ? null : Number(card.firstIndex);
  return (
    <section aria-label="Questions about names and positions" className="grid gap-2 text-sm">
      <h2 className="text-base">Names and positions</h2>
      <p className="flex flex-wrap items-baseline gap-2">
        {names.map((name, at) => (
          <input
            key={`${at}`}
            className="field w-28 font-mono"
            aria-label={at === 0 ? "One name" : "Another name"}
            value={name}
            onChange={(event) => setNames(names.map((each, index) => (index === at ? event.target.value : each)))}
          />
        ))}
        <span role="status">
          {same ? "are the same name here." : "are two names here."}
          {card.names.caseSensitive ? " Letter case counts." : " Letter case does not count."}
        </span>
      </p>
      <p className="flex flex-wrap items-baseline gap-2">
        <label className="flex items-baseline gap-2 font-normal">
          A list of
          <input
            className="field w-16"
            inputMode="numeric"
            value={length}
            onChange={(event) => setLength(event.target.value)}
          />
        </label>
        <span role="status">
          {first === null
            ? "has the positions that its declaration says."
            : count === null
              ? "elements: a whole number, please."
              : count === 0
                ? "elements has no position at all."
                : `elements has the positions ${first} to ${first + count - 1}; ${first + count} is past the end.`}
        </span>
      </p>
    </section>
  );
}
