import { useState } from "react";
import type { Rows } from "../../core/trace/moves.ts";
import type { ValuesAt } from "./useValues.ts";

/** Values that are listed before the others fold away. */
const shownFirst = 12;

/** What every variable holds where the dry run stands; chosen ones first. A press goes to where one changed last. */
export function ValuesNow({
  rows,
  values,
  watched,
  onWatch,
  onGo,
}: {
  rows: Rows;
  values: ValuesAt;
  /** Keys of the variables that are watched, in the order in which they were chosen. */
  watched: readonly string[];
  onWatch: (keys: readonly string[]) => void;
  onGo: (done: number) => void;
}) {
  const [all, setAll] = useState(false);
  const { all: known } = values;
  const isWatched = (key: string) => watched.includes(key);
  const ordered = [
    ...watched.flatMap((key) => known.find((each) => each.key === key) ?? []),
    ...known.filter((each) => !isWatched(each.key)),
  ];
  const shown = all ? ordered : ordered.slice(0, Math.max(shownFirst, watched.length));
  return (
    <section className="leaf p-3" aria-label="Values now">
      <h2 className="text-lg">Values now</h2>
      {ordered.length === 0 && <p className="note-small">No variable has a value yet.</p>}
      <ul className="grid gap-1">
        {shown.map(({ key, name, text, at, inside }) => {
          return (
            <li key={key} className="flex items-baseline gap-2">
              <input
                type="checkbox"
                checked={isWatched(key)}
                aria-label={`Watch ${name}`}
                onChange={() => onWatch(isWatched(key) ? watched.filter((each) => each !== key) : [...watched, key])}
              />
              <span className="font-mono text-[0.9rem]">
                {name} = <b>{text === "" ? "not set" : cut(text)}</b>
                {inside !== undefined && <span className="text-graphite">: {cut(inside)}</span>}
              </span>
              <button
                type="button"
                className="link ml-auto text-sm whitespace-nowrap"
                onClick={() => onGo(at)}
                aria-label={`To where ${name} changed last, line ${rows[at]?.line}`}
              >
                line {rows[at]?.line}
              </button>
            </li>
          );
        })}
      </ul>
      {ordered.length > shown.length && (
        <button type="button" className="link text-sm" onClick={() => setAll(true)}>
          {ordered.length - shown.length} more
        </button>
      )}
    </section>
  );
}

/** A value that is not too long for its line. */
const cut = (text: string) => (text.length > 60 ? `${text.slice(0, 60)}…` : text);
