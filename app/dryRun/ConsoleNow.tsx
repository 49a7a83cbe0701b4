import type { TableRow } from "../../core/trace/table.ts";

/** Lines of the console that are shown, the last ones. */
const most = 12;

/** A stretch of the console: printed, or typed in. */
type Piece = { text: string; typed: boolean };

/** What stands on the console when `done` rows have run: its last lines, and whether there are more before them. */
export function consoleAt(
  rows: ReadonlyArray<Pick<TableRow, "output" | "input">>,
  done: number,
): { pieces: Piece[]; more: boolean } {
  const pieces: Piece[] = [];
  let lines = 0;
  let at = Math.min(done, rows.length) - 1;
  for (; at >= 0 && lines <= most; at--) {
    const row = rows[at];
    // A line prints its prompt before it reads.
    if (row?.input !== undefined) pieces.unshift({ text: row.input, typed: true });
    if (row?.output) pieces.unshift({ text: row.output, typed: false });
    lines += `${row?.output ?? ""}${row?.input ?? ""}`.split("\n").length - 1;
  }
  return { pieces, more: at >= 0 && rows.slice(0, at + 1).some((row) => row.output !== "" || row.input !== undefined) };
}

/** The console as it stands where the dry run is. */
export function ConsoleNow({ rows, done }: { rows: readonly TableRow[]; done: number }) {
  const { pieces, more } = consoleAt(rows, done);
  return (
    <section className="leaf p-3" aria-label="Console so far">
      <h2 className="text-lg">Console so far</h2>
      {pieces.length === 0 ? (
        <p className="note-small">Nothing is printed or typed in yet.</p>
      ) : (
        <pre className="max-h-60 overflow-auto font-mono text-[0.9rem] whitespace-pre-wrap">
          {more && <span className="note-small">… earlier lines …{"\n"}</span>}
          {pieces.map((piece, at) =>
            piece.typed ? (
              <kbd key={at} className="border-b border-ink font-semibold" title="typed in">
                {piece.text}
              </kbd>
            ) : (
              <span key={at}>{piece.text}</span>
            ),
          )}
        </pre>
      )}
    </section>
  );
}
