import type { TableRow, TraceTable } from "./table.ts";

/**
 * What stands in the cells of a table's rows in which nothing changes, where unchanged values are repeated: the last value, of a
 * function's variables while one of its calls is open. One entry a row, by column key; a named object stands by its name.
 */
export function repeatedCells({ columns, rows }: Pick<TraceTable, "columns" | "rows">): Array<Record<string, string>> {
  const functions = new Map(
    columns.map(({ key, functionName, className }) => [key, functionOf(functionName, className)]),
  );
  const standing = new Map<string, string>();
  const open: Array<{ name: string; depth: number }> = [];
  return rows.map((row) => {
    if (row.call !== undefined) {
      while ((open.at(-1)?.depth ?? -1) >= row.depth) open.pop();
      open.push({ name: functionOf(row.call, row.className), depth: row.depth });
    } else while ((open.at(-1)?.depth ?? -1) > row.depth) open.pop();
    const repeated: Record<string, string> = {};
    for (const { key } of columns) {
      const text = row.cells[key];
      if (text !== undefined) {
        standing.set(key, row.short?.[key] ?? text);
        continue;
      }
      const last = standing.get(key);
      const of = functions.get(key) ?? "";
      if (last === undefined || last === "") continue;
      if (of === "" || open.some(({ name }) => name === of)) repeated[key] = last;
      // What the next call of the function holds begins with its own values.
      else standing.delete(key);
    }
    return repeated;
  });
}

const functionOf = (name: string | undefined, className: string | undefined) =>
  name === undefined ? "" : `${className ?? ""}.${name}`;

/** A table with its unchanged values repeated, for what is written out. */
export function withRepeated(table: TraceTable): TraceTable {
  const repeated = repeatedCells(table);
  return {
    ...table,
    rows: table.rows.map((row, at): TableRow => ({ ...row, cells: { ...repeated[at], ...row.cells } })),
  };
}
