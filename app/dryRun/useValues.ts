import { useMemo } from "react";
import { headingsOf, headingText } from "../../core/trace/headings.ts";
import type { OpenCalls } from "../../core/trace/levels.ts";
import { changesOf, objectAt, objectChangesOf, type Rows, valuesAt } from "../../core/trace/moves.ts";
import type { TableColumn } from "../../core/trace/tableColumn.ts";

/** A variable and what it holds; `at` is the row that changed it last, `inside` what the object holds that it is known by. */
export type ValueNow = { key: string; name: string; text: string; at: number; inside?: string };

/** What the variables hold where a dry run stands. */
export type ValuesAt = {
  all: ValueNow[];
  /** What a name holds as it is seen there: of the call that is open, else of the program. */
  valueHeld: (name: string) => string | undefined;
  /** Names that are seen there. */
  names: string[];
};

/** What every variable holds when `done` rows have run. */
export function useValues(rows: Rows, calls: OpenCalls, columns: readonly TableColumn[], done: number): ValuesAt {
  const changes = useMemo(() => changesOf(rows), [rows]);
  const objects = useMemo(() => objectChangesOf(rows), [rows]);
  const named = useMemo(() => {
    const headings = headingsOf(columns).map(headingText);
    return new Map(columns.map((column, at) => [column.key, { column, name: headings[at] ?? column.key }]));
  }, [columns]);
  return useMemo(() => {
    const all = valuesAt(rows, done, changes).map(({ key, text, at }): ValueNow => {
      const inside = objectAt(rows, done, text, objects);
      return { key, name: named.get(key)?.name ?? key, text, at, ...(inside === undefined ? {} : { inside }) };
    });
    const called = calls.at(done).at(-1);
    const byKey = new Map(all.map((each) => [each.key, each]));
    const valueHeld = (name: string): string | undefined => {
      const seen = [...named.values()].filter(({ column }) => column.title === name);
      const own = seen.find(
        ({ column }) =>
          column.functionName !== undefined &&
          [column.functionName, `${column.className}.${column.functionName}`].includes(called?.name ?? ""),
      );
      const of = own ?? seen.find(({ column }) => column.functionName === undefined);
      const value = of && byKey.get(of.column.key);
      return value?.inside ?? value?.text;
    };
    const names = [...new Set([...named.values()].map(({ column }) => column.title))].filter(
      (name) => valueHeld(name) !== undefined,
    );
    return { all, valueHeld, names };
  }, [rows, calls, done, changes, objects, named]);
}
