import type { ReactNode } from "react";
import type { TableRow } from "../../core/trace/table.ts";

/** Lines of the console that are shown, the last ones. */
const most = 12;

/** A stretch of the console: printed, or typed in. */
type Piece = { text: string; typed: boolean };

type Spoken = Pick<TableRow, "output" | "input">;

/** The places of the rows that print something or have something typed in. */
export function spokenRows(rows: readonly Spoken[]): number[] {
  return rows.flatMap((row, at) => (row.output !== "" || row.input !== undefined ? [at] : []));
}

/** What stands on the console when `done` rows have run: its last lines, and whether there are more before them. */
export function consoleAt(
  rows: readonly Spoken[],
  spoken: readonly number[],
  done: number,
): { pieces: Piece[]; more: boolean } {
  const pieces: Piece[] = [];
  let lines = 0;
  let at = spoken.findLastIndex((place) => place < done);
  for (; at >= 0 && lines <= most; at--) {
    const { output = "", input } = rows[spoken[at] ?? -1] ?? {};
    // A line prints its prompt before it reads.
    if (input !== undefined) pieces.unshift({ text: input, typed: true });
    if (output !== "") pieces.unshift({ text: output, typed: false });
    lines += `${output}${input ?? ""}`.split("\n").length - 1;
  }
  return { pieces, more: at >= 0 };
}

/** The console as it stands where the dry run is. */
export function ConsoleNow({
  rows,
  spoken,
  done,
  children,
}: {
  rows: readonly TableRow[];
  spoken: readonly number[];
  done: number;
  /** What stands below it. */
  children?: ReactNode;
}) {
  const { pieces, more } = consoleAt(rows, spoken, done);
  return (
    <section className="leaf p-3" aria-label="Console so far">
      <h2 className="text-lg">Console so far</h2>
      {pieces.length === 0 ? (
        <p className="note-small">Nothing is printed or typed in yet.</p>
      ) : (
        <pre className="max-h-60 overflow-auto font-mono text-[0.9rem] whitespace-pre-wrap" tabIndex={0}>
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
      {children}
    </section>
  );
}
