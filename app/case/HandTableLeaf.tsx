import { Link, useFetcher } from "react-router";
import { readHandTable } from "../../core/trace/handTable.ts";
import type { Reply } from "../actions.ts";
import { Said, settled } from "../components/Said.tsx";
import type { CaseView } from "./caseView.ts";
import { Revision } from "./Revision.tsx";

const example = "line; boats; trips; output\n1; 3\n2; ; 0\n3; ; 1; Trip 1";

/** The trace table of what no translator runs, as the teacher writes it: the key of trace tasks, and blank on paper. */
export function HandTableLeaf({ view }: { view: CaseView }) {
  const fetcher = useFetcher<Reply>();
  const read = view.handTable === "" ? null : readHandTable(view.handTable);
  return (
    <div className="grid gap-3">
      <p className="note-small">
        Nothing runs here, so the table is yours to write: the columns in the first row, then a row for each step, cells
        divided by semicolons or tabs. An empty cell says that nothing changes.
      </p>
      <fetcher.Form method="post" className="grid gap-2">
        <input type="hidden" name="intent" value="hand table" />
        <Revision />
        <label>
          Trace table
          <textarea
            key={view.revision}
            name="table"
            className="field field-code overflow-auto"
            rows={10}
            wrap="off"
            spellCheck={false}
            defaultValue={view.handTable}
            placeholder={example}
          />
        </label>
        <div className="flex items-center gap-4">
          <button className="press press-main" type="submit">
            Keep the table
          </button>
          {read?.ok && (
            <Link className="link" to={`/print/cases/${view.key}/table`}>
              Print it blank
            </Link>
          )}
        </div>
        <Said reply={settled(fetcher)} />
      </fetcher.Form>
      {read?.ok && (
        <section className="overflow-x-auto" aria-label="The table as it reads" tabIndex={0}>
          <table className="trace-table">
            <thead>
              <tr>
                {["line", ...read.table.columns, "output"].map((name) => (
                  <th key={name} scope="col">
                    {name}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {read.table.rows.map((row, index) => (
                <tr key={`${index} ${row.line}`}>
                  <td className="text-graphite">{row.line}</td>
                  {read.table.columns.map((name) => (
                    <td key={name} className={row.cells[name] === undefined ? undefined : "changed"}>
                      {row.cells[name]}
                    </td>
                  ))}
                  <td className={row.output ? "changed" : undefined}>{row.output}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      )}
    </div>
  );
}
