import { headingsOf } from "../../core/trace/headings.ts";
import type { MoreColumn } from "../../core/trace/tableStyle.ts";

/** Which columns a trace table has beside its variables: those that are wanted, and what was typed in. */
export type TraceShows = { input?: boolean } & Partial<Readonly<Record<MoreColumn, boolean>>>;

type Column = { key: string; title: string; functionName?: string; className?: string; of?: string };

/** The headers of a table's columns: each title, with the function that it belongs to above it where that is needed. */
export function ColumnHeads({ columns }: { columns: readonly Column[] }) {
  const headings = headingsOf(columns);
  return columns.map((column, at) => (
    <th scope="col" key={column.key}>
      {headings[at]?.above && <span className="block text-xs font-normal text-graphite">{headings[at].above}</span>}
      {headings[at]?.title}
    </th>
  ));
}

/** The header of a trace table: the line, a column for each variable with the function it belongs to, and the output. */
export function TraceHead({ columns, shows = {} }: { columns: readonly Column[]; shows?: TraceShows }) {
  return (
    <thead>
      <tr>
        <th scope="col" className="trace-line">
          line
        </th>
        {shows.pass && <th scope="col">pass</th>}
        {shows.depth && <th scope="col">in</th>}
        {shows.call && <th scope="col">call</th>}
        {shows.condition && <th scope="col">condition</th>}
        <ColumnHeads columns={columns} />
        {shows.input && <th scope="col">input</th>}
        {shows.waiting && <th scope="col">waiting</th>}
        <th scope="col" className="trace-output">
          output
        </th>
      </tr>
    </thead>
  );
}
