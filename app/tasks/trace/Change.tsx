import { useState } from "react";
import type { TraceKey } from "../../../core/exercises/traceTask.ts";
import { headingsOf, headingText } from "../../../core/trace/headings.ts";
import { TraceHead } from "../../components/TraceHead.tsx";
import type { ChangeProps } from "../taskParts.ts";

/** The filled table of a trace task: press a cell to print it on the sheet, choose columns, input and line numbers. */
export function Change({ ownKey: task }: ChangeProps<TraceKey>) {
  const [given, setGiven] = useState<ReadonlySet<string>>(new Set(task.given));
  const toggle = (cell: string) => {
    const next = new Set(given);
    if (!next.delete(cell)) next.add(cell);
    setGiven(next);
  };
  const headings = headingsOf(task.columns).map(headingText);
  const columns = [...task.columns.map((column) => column.key), "output"];
  return (
    <>
      {[...given].map((cell) => (
        <input key={cell} type="hidden" name="given" value={cell} />
      ))}
      <p className="note-small">Press a value to give it to students (it stands on a slip) or to ask for it.</p>
      <div className="max-h-80 overflow-auto" tabIndex={0}>
        <table className="trace-table">
          <TraceHead columns={task.columns} />
          <tbody>
            {task.rows.map((row, index) => (
              <tr key={index}>
                <td>{row.line}</td>
                {columns.map((column) => {
                  const cell = `${index} ${column}`;
                  const text = row.cells[column];
                  return (
                    <td key={column} className={given.has(cell) ? "bg-slip" : undefined}>
                      {text !== undefined && (
                        <button
                          type="button"
                          className="w-full cursor-pointer text-left hover:underline"
                          aria-pressed={given.has(cell)}
                          aria-label={`row ${index + 1}, ${column}: ${text}; given to students`}
                          onClick={() => toggle(cell)}
                        >
                          {text || " "}
                        </button>
                      )}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <div className="flex flex-wrap items-end gap-3">
        <label className="text-sm">
          Program
          <select name="program" className="field" defaultValue={task.program}>
            <option value="faulty">as handed in</option>
            {task.mended && <option value="mended">mended (students see it)</option>}
          </select>
        </label>
        <label className="text-sm">
          Input of check
          <select name="check" className="field" defaultValue={task.check}>
            {Array.from({ length: task.checks }, (_, index) => (
              <option key={index} value={index}>
                {index + 1}
              </option>
            ))}
          </select>
        </label>
        <label className="text-sm font-normal">
          <input type="checkbox" name="linesGiven" defaultChecked={task.linesGiven} /> line numbers are given
        </label>
      </div>
      <fieldset className="flex flex-wrap gap-x-3">
        <legend className="text-sm">Columns</legend>
        {task.columns.map((column, at) => (
          <label key={column.key} className="text-sm font-normal">
            <input type="checkbox" name="column" value={column.key} defaultChecked /> {headings[at]}
          </label>
        ))}
      </fieldset>
    </>
  );
}
