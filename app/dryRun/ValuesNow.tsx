import { useMemo, useState } from "react";
import { changesOf, type Rows, valuesAt } from "../../core/trace/moves.ts";
import type { TableColumn } from "../../core/trace/table.ts";

/** Values that are listed before the others fold away. */
const shownFirst = 12;

/** What every variable holds where the dry run stands; chosen ones first. A press goes to where one changed last. */
export function ValuesNow({
  rows,
  columns,
  done,
  watched,
  onWatch,
  onGo,
}: {
  rows: Rows;
  columns: readonly TableColumn[];
  done: number;
  /** Keys of the variables that are watched, in the order in which they were chosen. */
  watched: readonly string[];
  onWatch: (keys: readonly string[]) => void;
  onGo: (done: number) => void;
}) {
  const [all, setAll] = useState(false);
  const titles = new Map(columns.map((column) => [column.key, column]));
  const changes = useMemo(() => changesOf(rows), [rows]);
  const values = valuesAt(rows, done, changes);
  const isWatched = (key: string) => watched.includes(key);
  const ordered = [
    ...watched.flatMap((key) => values.find((each) => each.key === key) ?? []),
    ...values.filter((each) => !isWatched(each.key)),
  ];
  const shown = all ? ordered : ordered.slice(0, Math.max(shownFirst, watched.length));
  return (
    <section className="leaf p-3" aria-label="Values now">
      <h2 className="text-lg">Values now</h2>
      {ordered.length === 0 && <p className="note-small">No variable has a value yet.</p>}
      <ul className="grid gap-1">
        {shown.map(({ key, text, at }) => {
          const column = titles.get(key);
          const name = column?.functionName ? `${column.functionName}: ${column.title}` : (column?.title ?? key);
          return (
            <li key={key} className="flex items-baseline gap-2">
              <input
                type="checkbox"
                checked={isWatched(key)}
                aria-label={`Watch ${name}`}
                onChange={() => onWatch(isWatched(key) ? watched.filter((each) => each !== key) : [...watched, key])}
              />
              <span className="font-mono text-[0.9rem]">
                {name} = <b>{text === "" ? "not set" : text.length > 60 ? `${text.slice(0, 60)}…` : text}</b>
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
