import type { TableRow, TraceTable } from "../trace/table.ts";

/**
 * A long trace table in a short form for the page: columns once, then an array for each row: step, line, file, depth, cells as
 * pairs of column number and text, output, and by name what few rows have.
 */
type PackedRow = [
  step: number,
  line: number,
  file: number,
  depth: number,
  cells: Array<number | string>,
  output: string,
  few?: Partial<Pick<TableRow, (typeof some)[number]>>,
];

const some = [
  ...(["call", "className", "arguments", "own", "ownName", "returned", "raised", "condition", "pass"] as const),
  ...(["input", "waiting", "unseen", "short", "objects", "again"] as const),
];

/** The rows of a table as text. */
export function packRows({ columns, rows }: Pick<TraceTable, "columns" | "rows">): string {
  const places = new Map(columns.map((column, place) => [column.key, place]));
  return JSON.stringify(
    rows.map((row): PackedRow => {
      const cells = Object.entries(row.cells).flatMap(([key, text]) => {
        const place = places.get(key);
        return place === undefined ? [] : [place, text];
      });
      const few = Object.fromEntries(some.flatMap((name) => (row[name] === undefined ? [] : [[name, row[name]]])));
      const packed: PackedRow = [row.step, row.line, row.file, row.depth, cells, row.output];
      if (Object.keys(few).length > 0) packed[6] = few;
      return packed;
    }),
  );
}

/** Rows from such a text; cells are those of `columns`. The text is the server's own, so its form is not looked at row by row. */
export function unpackRows(text: string, columns: TraceTable["columns"]): TableRow[] {
  return (JSON.parse(text) as PackedRow[]).map(([step, line, file, depth, pairs, output, few]) => {
    const cells: Record<string, string> = {};
    for (let at = 0; at < pairs.length; at += 2) {
      const key = columns[Number(pairs[at])]?.key;
      if (key !== undefined) cells[key] = String(pairs[at + 1]);
    }
    return { step, line, file, depth, cells, output, ...few };
  });
}
