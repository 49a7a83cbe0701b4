import type { FaultClass } from "../../core/verdict/verdict.ts";
import { FixSlip } from "../case/LayerList.tsx";
import { useClassWords } from "../components/marks.tsx";
import { TraceHead } from "../components/TraceHead.tsx";
import type { MarkedTask } from "../routes/markSitting.tsx";

const verdictWords = { right: "", wrong: "wrong", missing: "left blank", surplus: "nothing belongs here", given: "given" } as const;

/** What a student answered, as the kind of task shows it best. */
export function AnswerView({ task }: { task: MarkedTask }) {
  const classWords = useClassWords();
  if (task.answer === null) return <p className="note-small">No answer.</p>;
  if (task.trace) return <TraceAnswerView trace={task.trace} />;
  if (task.changes) return task.changes.length === 0 ? <p className="note-small">Nothing was changed.</p> : <FixSlip hunks={task.changes} />;
  const answer = task.answer as { class?: FaultClass; reason?: string; lines?: number[]; output?: string; ending?: string; givenUp?: boolean };
  return (
    <div>
      {answer.class && <p>{classWords(answer.class)}</p>}
      {answer.reason && <p className="whitespace-pre-wrap">“{answer.reason}”</p>}
      {answer.lines && <p>Line {answer.lines.join(", ") || "none"}</p>}
      {answer.output !== undefined && <pre className="border border-rule px-2 text-sm whitespace-pre-wrap">{answer.output || "(nothing)"}</pre>}
      {answer.ending && <p>It {answer.ending}.</p>}
      {answer.givenUp && <p className="note-small">Given up.</p>}
    </div>
  );
}

/** A filled table with what is not right marked in the cell; the right value stands struck beside it. */
function TraceAnswerView({ trace }: { trace: NonNullable<MarkedTask["trace"]> }) {
  return (
    <div className="overflow-x-auto">
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
                    <td key={column} className={bad ? "bg-slip" : undefined} title={verdict ? verdictWords[verdict] : undefined}>
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
        <p className="note-small">Rows left out: {trace.marking.missingRows.map((row) => `line ${trace.key[row]?.line}`).join(", ")}</p>
      )}
    </div>
  );
}
