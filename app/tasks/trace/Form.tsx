import { type TraceView, traceAnswerSchema } from "../../../core/exercises/traceTask.ts";
import { TraceHead } from "../../components/TraceHead.tsx";
import { MendedProgram, TypedIn } from "../shown.tsx";
import type { FormProps } from "../taskParts.ts";

/** Blank rows that a table without given line numbers begins with. */
const firstRows = 6;

/** The table to be filled in: given cells stand, the arrow keys move up and down. */
export function Form({ view, answer, fixed, change, exercise }: FormProps<TraceView>) {
  const columns = [...view.columns.map((column) => column.key), "output"];
  const empty = () => ({ cells: {} });
  const parsed = traceAnswerSchema.safeParse(answer);
  const start = view.linesGiven
    ? view.rows.map((row) => ({ line: String(row.line), cells: {} as Record<string, string> }))
    : [
        ...view.rows.map((row) => ({ line: String(row.line), cells: { ...row.cells } })),
        ...Array.from({ length: firstRows }, empty),
      ];
  const own = parsed.success && parsed.data.rows.length > 0 ? parsed.data : { rows: start };
  const rows: Array<{ line?: string; cells: Record<string, string> }> = own.rows;
  const locked = fixed || exercise.tried;

  const write = (
    row: number,
    edit: (before: { line?: string; cells: Record<string, string> }) => {
      line?: string;
      cells: Record<string, string>;
    },
  ) => change({ rows: rows.map((each, index) => (index === row ? edit(each) : each)) });
  const moveTo = (event: React.KeyboardEvent<HTMLInputElement>, row: number, column: number) => {
    const moves: Record<string, [number, number]> = { ArrowDown: [1, 0], Enter: [1, 0], ArrowUp: [-1, 0] };
    const move = moves[event.key];
    if (!move) return;
    event.preventDefault();
    event.currentTarget
      .closest("table")
      ?.querySelector<HTMLInputElement>(`[data-cell="${row + move[0]} ${column + move[1]}"]`)
      ?.focus();
  };
  const cell = "h-8 w-full min-w-14 bg-transparent px-2 font-mono disabled:opacity-100";

  return (
    <div className="grid gap-2">
      <MendedProgram text={view.text} />
      <TypedIn input={view.input} label={exercise.actions?.label} />
      <section className="overflow-x-auto" aria-label="Trace table" tabIndex={0}>
        <table className="trace-table">
          <TraceHead columns={view.columns} />
          <tbody>
            {rows.map((row, index) => (
              <tr key={index}>
                <td className="p-0">
                  {view.linesGiven ? (
                    <span className="px-2 text-graphite">{row.line}</span>
                  ) : (
                    <input
                      className={`${cell} w-14`}
                      inputMode="numeric"
                      data-cell={`${index} -1`}
                      aria-label={`row ${index + 1}, line number`}
                      value={row.line ?? ""}
                      disabled={locked}
                      onKeyDown={(event) => moveTo(event, index, -1)}
                      onChange={(event) => write(index, (before) => ({ ...before, line: event.target.value }))}
                    />
                  )}
                </td>
                {columns.map((column, at) => {
                  const given = view.linesGiven ? view.rows[index]?.cells[column] : undefined;
                  return (
                    <td key={column} className={`p-0 ${given !== undefined ? "bg-slip" : ""}`}>
                      {given !== undefined ? (
                        <span className="px-2">{given}</span>
                      ) : (
                        <input
                          className={cell}
                          data-cell={`${index} ${at}`}
                          autoComplete="off"
                          spellCheck={false}
                          aria-label={`row ${index + 1}${row.line ? `, line ${row.line}` : ""}, ${column}`}
                          value={row.cells[column] ?? ""}
                          disabled={locked}
                          onKeyDown={(event) => moveTo(event, index, at)}
                          onChange={(event) =>
                            write(index, (before) => ({
                              ...before,
                              cells: { ...before.cells, [column]: event.target.value },
                            }))
                          }
                        />
                      )}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      {!locked && (
        <div className="flex gap-4">
          {!view.linesGiven && (
            <>
              <button type="button" className="press" onClick={() => change({ rows: [...rows, empty()] })}>
                Add a row
              </button>
              <button
                type="button"
                className="press press-quiet"
                disabled={rows.length < 2}
                onClick={() => change({ rows: rows.slice(0, -1) })}
              >
                Take the last row away
              </button>
            </>
          )}
          {!parsed.success && (
            <button
              type="button"
              className="press press-quiet text-sm"
              onClick={() => change({ rows: start, givenUp: true })}
            >
              I give this up
            </button>
          )}
        </div>
      )}
    </div>
  );
}
