/**
 * The header of a trace table: the line, a column for each variable with the function it belongs to, what was typed in
 * (`input`), which function is entered and what it gives back (`calls`), and the output.
 */
export function TraceHead({
  columns,
  input = false,
  calls = false,
}: {
  columns: ReadonlyArray<{ key: string; title: string; functionName?: string }>;
  input?: boolean;
  calls?: boolean;
}) {
  return (
    <thead>
      <tr>
        <th scope="col">line</th>
        {calls && <th scope="col">call</th>}
        {columns.map((column) => (
          <th scope="col" key={column.key}>
            {column.functionName && (
              <span className="block text-xs font-normal text-graphite">{column.functionName}</span>
            )}
            {column.title}
          </th>
        ))}
        {input && <th scope="col">input</th>}
        <th scope="col">output</th>
      </tr>
    </thead>
  );
}
