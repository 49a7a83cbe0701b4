/** When an output flags something: an editor's checker beside the typing, a translator before the start, a run when it gets there. */
export type FlaggedWhen = "writing" | "translating" | "running";

/**
 * A message as far as two outputs of one text are compared: its line (null where none is told), its kind in words, its
 * severity, and when it is told (absent or null where that is not known).
 */
export type ComparedMessage = {
  line: number | null;
  kind: string | null;
  severity: string;
  title: string;
  when?: FlaggedWhen | null;
};

/**
 * What several outputs say of one place: a cell for each output, null where it says nothing there. `differs`: in the line, in the
 * kind or the severity, or that only some say it; "" where they agree.
 */
export type ComparedRow = {
  cells: Array<ComparedMessage | null>;
  differs: "" | "line" | "kind" | "severity" | "only some";
};

/** Lines by which two messages of one kind may differ and still be about one thing. */
const near = 3;

/**
 * Sets the messages of several outputs side by side: those of one line first, then those of one kind a few lines apart. Notes are
 * left out; the order is that of the lines, those without one first.
 */
export function compareReadings(outputs: ReadonlyArray<readonly ComparedMessage[]>): ComparedRow[] {
  const rows: Array<Array<ComparedMessage | null>> = [];
  const empty = () => outputs.map((): ComparedMessage | null => null);
  for (const [place, messages] of outputs.entries()) {
    for (const message of messages) {
      if (message.severity === "note") continue;
      const free = rows.filter((row) => row[place] === null);
      const others = (row: Array<ComparedMessage | null>) =>
        row.filter((cell): cell is ComparedMessage => cell !== null);
      const sameLine = free.filter((row) => others(row).some((cell) => cell.line === message.line));
      const own =
        sameLine.find((row) => others(row).some((cell) => cell.kind === message.kind)) ??
        sameLine[0] ??
        free.find((row) =>
          others(row).some(
            (cell) =>
              cell.kind !== null &&
              cell.kind === message.kind &&
              cell.line !== null &&
              message.line !== null &&
              Math.abs(cell.line - message.line) <= near,
          ),
        );
      if (own) own[place] = message;
      else {
        const row = empty();
        row[place] = message;
        rows.push(row);
      }
    }
  }
  const lineOf = (cells: ReadonlyArray<ComparedMessage | null>) =>
    Math.min(...cells.flatMap((cell) => (cell ? [cell.line ?? 0] : [])));
  return rows
    .sort((one, other) => lineOf(one) - lineOf(other))
    .map((cells) => ({ cells, differs: differenceOf(cells) }));
}

function differenceOf(cells: ReadonlyArray<ComparedMessage | null>): ComparedRow["differs"] {
  const said = cells.filter((cell): cell is ComparedMessage => cell !== null);
  if (said.length < cells.length) return "only some";
  const distinct = (values: ReadonlyArray<string | number | null>) => new Set(values).size > 1;
  if (distinct(said.map((cell) => cell.line))) return "line";
  if (distinct(said.map((cell) => cell.severity))) return "severity";
  return distinct(said.map((cell) => cell.kind)) ? "kind" : "";
}
