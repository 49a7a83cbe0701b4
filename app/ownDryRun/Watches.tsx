import type { TableColumn } from "../../core/trace/tableColumn.ts";
import type { ValuesAt } from "../dryRun/useValues.ts";

/** A variable as it is spoken of: a function's own with the function. */
export const nameOf = ({ title, functionName }: Pick<TableColumn, "title" | "functionName">): string =>
  functionName ? `${title} in ${functionName}` : title;

/** Names that are watched at once. */
const places = [0, 1] as const;

/** Two names of the student's choice: what they hold now, and room for a guess what they will hold after the line. */
export function Watches({
  columns,
  values,
  watched,
  guesses,
  canGuess,
  onWatch,
  onGuess,
  onEnter,
}: {
  columns: readonly TableColumn[];
  values: ValuesAt;
  /** Keys of the columns that are watched, by place. */
  watched: readonly string[];
  guesses: Readonly<Record<string, string>>;
  canGuess: boolean;
  onWatch: (watched: readonly string[]) => void;
  onGuess: (key: string, guess: string) => void;
  onEnter: () => void;
}) {
  if (columns.length === 0) return <p className="note-small">The program has no variables.</p>;
  return (
    <table className="w-full text-sm">
      <caption className="sr-only">Names that you watch</caption>
      <thead>
        <tr className="text-left">
          <th scope="col">Watch</th>
          <th scope="col" className="px-2">
            holds now
          </th>
          <th scope="col">after this line</th>
        </tr>
      </thead>
      <tbody>
        {places.slice(0, columns.length).map((place) => {
          const key = watched[place] ?? "";
          const now = values.all.find((each) => each.key === key);
          return (
            <tr key={place}>
              <td>
                <select
                  className="field"
                  aria-label={`Name ${place + 1} to watch`}
                  value={key}
                  onChange={(event) =>
                    onWatch(places.map((each) => (each === place ? event.target.value : (watched[each] ?? ""))))
                  }
                >
                  {columns.map((column) => (
                    <option key={column.key} value={column.key}>
                      {nameOf(column)}
                    </option>
                  ))}
                </select>
              </td>
              <td className="px-2 font-mono break-all" data-holds={key}>
                {now?.inside ?? (now?.text || "no value yet")}
              </td>
              <td>
                <input
                  className="field w-28 font-mono"
                  aria-label={`Your guess for name ${place + 1}`}
                  placeholder="your guess"
                  autoComplete="off"
                  value={guesses[key] ?? ""}
                  disabled={!canGuess}
                  onChange={(event) => onGuess(key, event.target.value)}
                  onKeyDown={(event) => {
                    if (event.key === "Enter") {
                      event.preventDefault();
                      onEnter();
                    }
                  }}
                />
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
