/** Which columns a trace table has beside its variables: the call, the decision, the pass of a loop, what was typed in. */
export type TraceShows = { input?: boolean; calls?: boolean; conditions?: boolean; passes?: boolean };

/** The header of a trace table: the line, a column for each variable with the function it belongs to, and the output. */
export function TraceHead({
  columns,
  shows = {},
}: {
  columns: ReadonlyArray<{ key: string; title: string; functionName?: string }>;
  shows?: TraceShows;
}) {
  return (
    <thead>
      <tr>
        <th scope="col" className="trace-line">
          line
        </th>
        {shows.passes && <th scope="col">pass</th>}
        {shows.calls && <th scope="col">call</th>}
        {shows.conditions && <th scope="col">condition</th>}
        {columns.map((column) => (
          <th scope="col" key={column.key}>
            {column.functionName && (
              <span className="block text-xs font-normal text-graphite">{column.functionName}</span>
            )}
            {column.title}
          </th>
        ))}
        {shows.input && <th scope="col">input</th>}
        <th scope="col" className="trace-output">
          output
        </th>
      </tr>
    </thead>
  );
}
