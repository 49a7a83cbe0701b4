/**
 * The header of a trace table: the line, a column for each variable with the function it belongs to, and the output.
 */
export function TraceHead({
  columns,
}: {
  columns: ReadonlyArray<{ key: string; title: string; functionName?: string }>;
}) {
  return (
    <thead>
      <tr>
        <th scope="col">line</th>
        {columns.map((column) => (
          <th scope="col" key={column.key}>
            {column.functionName && (
              <span className="block text-xs font-normal text-graphite">{column.functionName}</span>
            )}
            {column.title}
          </th>
        ))}
        <th scope="col">output</th>
      </tr>
    </thead>
  );
}
