import { memo } from "react";
import { headingsOf, headingText } from "../../core/trace/headings.ts";
import type { TableColumn } from "../../core/trace/tableColumn.ts";

/** Which columns the table has, and which variables have one for each of their parts. A step changes nothing of it. */
export const ColumnChoice = memo(function ColumnChoice({
  more,
  columns,
  hidden,
  onHidden,
  parted,
  withParts,
  onParts,
}: {
  /** Columns beside the variables. */
  more: ReadonlyArray<{ key: string; title: string }>;
  columns: readonly TableColumn[];
  hidden: ReadonlySet<string>;
  onHidden: (hidden: ReadonlySet<string>) => void;
  /** Keys of the variables that stand part by part, and of those that could. */
  parted: readonly string[];
  withParts: ReadonlySet<string>;
  onParts: (keys: readonly string[]) => void;
}) {
  const headings = headingsOf(columns).map(headingText);
  const names = new Map(columns.map((column, at) => [column.key, headings[at] ?? column.key]));
  return (
    <fieldset className="flex flex-wrap items-baseline gap-x-4">
      <legend className="text-sm">Columns</legend>
      {[...more, ...columns].map((column) => (
        <label key={column.key} className="text-sm font-normal">
          <input
            type="checkbox"
            checked={!hidden.has(column.key)}
            onChange={(event) => {
              const rest = [...hidden].filter((each) => each !== column.key);
              onHidden(new Set(event.target.checked ? rest : [...rest, column.key]));
            }}
          />{" "}
          {names.get(column.key) ?? column.title}
        </label>
      ))}
      {parted.map((key) => (
        <button
          key={key}
          type="button"
          className="press press-quiet"
          onClick={() => onParts(parted.filter((each) => each !== key))}
        >
          {key.split(".").at(-1)} as one column
        </button>
      ))}
      {columns
        .filter((column) => withParts.has(column.key))
        .map((column) => (
          <button
            key={column.key}
            type="button"
            className="press press-quiet"
            onClick={() => onParts([...parted, column.key])}
          >
            {names.get(column.key)} part by part
          </button>
        ))}
    </fieldset>
  );
});
