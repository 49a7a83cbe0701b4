/**
 * A cell that a spreadsheet would take for a formula gets an apostrophe before it, which makes it text there; numbers
 * stay numbers. Signs by which programs begin a formula: OWASP, "CSV Injection".
 */
function noFormula(cell: string): string {
  return /^[=+\-@\t\r]/.test(cell) && !/^[-+]?\d+(?:\.\d+)?(?:[eE][-+]?\d+)?$/.test(cell) ? `'${cell}` : cell;
}

/** Rows of cells as comma-separated values (RFC 4180): a field with a comma, quote or line break is quoted. */
export function csvOf(rows: ReadonlyArray<readonly string[]>): string {
  return rows
    .map((row) =>
      row
        .map((cell) => noFormula(cell))
        .map((cell) => (/[",\r\n]/.test(cell) ? `"${cell.replaceAll('"', '""')}"` : cell))
        .join(","),
    )
    .join("\r\n")
    .concat("\r\n");
}
