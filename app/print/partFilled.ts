/** What of a table is printed and what is left for the pen: nothing, the lines, or the lines and its beginning. */
export const givens = ["nothing", "lines", "beginning"] as const;
export type Given = (typeof givens)[number];

export type PrintedRow = { line: string; cells: Readonly<Record<string, string>> };

/** The part of a table that is printed whole where its beginning is given: a third, one row at least. */
const beginningOf = (count: number) => Math.max(1, Math.floor(count / 3));

/** The rows of a table as they are printed to be filled in; the last row is never given. */
export function partFilled(rows: readonly PrintedRow[], given: Given): PrintedRow[] {
  const whole = given === "beginning" ? Math.min(beginningOf(rows.length), rows.length - 1) : 0;
  return rows.map((row, at) => {
    if (at < whole) return row;
    return { line: given === "nothing" ? "" : row.line, cells: {} };
  });
}
