/** What could not be taken and why. */
export function RefusedList({ refused }: { refused: ReadonlyArray<{ path: string; reason: string }> }) {
  if (refused.length === 0) return null;
  return (
    <section aria-labelledby="refused-title">
      <h2 id="refused-title">Not taken</h2>
      <ul className="leaf divide-y divide-rule">
        {refused.slice(0, 200).map((each) => (
          <li key={each.path + each.reason} className="px-3 py-1">
            <span className="font-mono text-sm break-all">{each.path}</span>{" "}
            <span className="note-small">{each.reason}</span>
          </li>
        ))}
        {refused.length > 200 && <li className="px-3 py-1">and {refused.length - 200} more</li>}
      </ul>
    </section>
  );
}
