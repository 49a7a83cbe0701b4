/** A trace table that a person wrote: columns in order, and rows with the line (1-based) and what changes in it. */
export type HandTable = {
  columns: string[];
  rows: Array<{ line: number; cells: Record<string, string>; output: string }>;
};

/** What the column of the printed text is called, in any letter case. */
const outputNames = new Set(["output", "out", "printed", "shown"]);
const lineNames = new Set(["line", "step", "no", "no."]);
const mostRows = 500;
const mostColumns = 20;

/** The cells of a row: divided by tabs where there are any, else by semicolons or upright strokes. */
function cellsOf(row: string): string[] {
  const sign = row.includes("\t") ? "\t" : row.includes("|") ? "|" : ";";
  const inner = sign === "|" ? row.trim().replace(/^\||\|$/g, "") : row;
  return inner.split(sign).map((cell) => cell.trim());
}

/**
 * Reads a table as a person writes it: the names of the columns in the first row, the first of them "line", then a row a
 * line, cells divided by semicolons, upright strokes or tabs; an empty cell: nothing changes. A column called "output"
 * holds what is printed. Words for the person where it cannot be read, with the row's number.
 */
export function readHandTable(text: string): { ok: true; table: HandTable } | { ok: false; message: string } {
  const refuse = (message: string) => ({ ok: false as const, message });
  const [head, ...body] = text.split(/\r\n|\n|\r/).filter((row) => row.trim() !== "");
  if (head === undefined) return refuse("The table is empty. Write the names of its columns in the first row.");
  const [first = "", ...names] = cellsOf(head);
  if (!lineNames.has(first.toLowerCase()))
    return refuse("The first column has to be called “line”: it holds the number of the line that is gone through.");
  const isOutput = (name: string) => outputNames.has(name.toLowerCase());
  const columns = names.filter((name) => !isOutput(name));
  if (columns.length === 0) return refuse("There is no column for a variable yet.");
  if (columns.length > mostColumns) return refuse(`A table has at most ${mostColumns} columns.`);
  if (names.some((name) => name === "")) return refuse("A column has no name.");
  if (new Set(names.map((name) => name.toLowerCase())).size < names.length)
    return refuse("Two columns have the same name.");
  if (body.length > mostRows) return refuse(`A table has at most ${mostRows} rows.`);
  const rows: HandTable["rows"] = [];
  for (const [index, row] of body.entries()) {
    const [line = "", ...cells] = cellsOf(row);
    if (!/^[1-9]\d{0,5}$/.test(line)) return refuse(`Row ${index + 1} does not begin with the number of a line.`);
    if (cells.length > names.length && cells.slice(names.length).some((cell) => cell !== ""))
      return refuse(`Row ${index + 1} has more cells than there are columns.`);
    const written = names.flatMap((name, at) => (cells[at] ? [[name, cells[at] ?? ""] as const] : []));
    rows.push({
      line: Number(line),
      cells: Object.fromEntries(written.filter(([name]) => !isOutput(name))),
      output: written.find(([name]) => isOutput(name))?.[1] ?? "",
    });
  }
  return { ok: true, table: { columns, rows } };
}
