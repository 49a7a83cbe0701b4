import type { TraceCompared } from "../../../core/exercises/traceTask.ts";
import { TraceHead } from "../../components/TraceHead.tsx";

const verdictWords = {
  right: "",
  follows: "right by your own values before it",
  open: "waits for the teacher",
  repeat: "",
  wrong: "wrong",
  missing: "left blank",
  surplus: "nothing belongs here",
  given: "given",
} as const;

/** A filled table with what is not right marked in the cell; the right value stands struck beside it. */
export function Answer({ compared: trace }: { compared: TraceCompared }) {
  return (
    <div className="overflow-x-auto" tabIndex={0}>
      <table className="trace-table">
        <TraceHead columns={trace.columns} />
        <tbody>
          {trace.answer.map((row, index) => {
            const marked = trace.marking.rows[index];
            const key = marked?.key === null || marked?.key === undefined ? null : trace.key[marked.key];
            return (
              <tr key={index}>
                <td>{row.line}</td>
                {trace.order.map((column) => {
                  const verdict = marked?.cells[column];
                  const bad = verdict === "wrong" || verdict === "missing" || verdict === "surplus";
                  return (
                    <td
                      key={column}
                      className={bad ? "bg-slip" : undefined}
                      title={verdict ? verdictWords[verdict] : undefined}
                    >
                      {verdict === "given" ? (
                        <span className="text-graphite">{key?.cells[column]}</span>
                      ) : bad ? (
                        <del>{row.cells[column]}</del>
                      ) : (
                        row.cells[column]
                      )}
                      {(verdict === "wrong" || verdict === "missing") && <strong> {key?.cells[column]}</strong>}
                    </td>
                  );
                })}
              </tr>
            );
          })}
        </tbody>
      </table>
      {trace.marking.missingRows.length > 0 && (
        <p className="note-small">
          Rows left out: {trace.marking.missingRows.map((row) => `line ${trace.key[row]?.line}`).join(", ")}
        </p>
      )}
    </div>
  );
}
