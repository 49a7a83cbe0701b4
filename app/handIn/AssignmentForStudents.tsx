type Shown = {
  task: string;
  starter: ReadonlyArray<{ name: string; text: string }>;
  checks: ReadonlyArray<{ name: string; purpose: string; input: string; expected: string | null }>;
};

/** What is asked for, as students see it: the statement, what they begin with, and the examples they may know. */
export function AssignmentForStudents({ task, starter, checks }: Shown) {
  return (
    <section className="leaf mb-4 grid gap-3 p-4" aria-label="What it is to do">
      <p className="whitespace-pre-wrap">{task}</p>
      {starter.map((file) => (
        <details key={file.name}>
          <summary className="cursor-pointer font-semibold text-steel-deep">What you begin with: {file.name}</summary>
          <pre className="overflow-x-auto border border-rule bg-leaf px-2 text-sm" tabIndex={0}>
            {file.text}
          </pre>
          <a
            className="link text-sm"
            download={file.name}
            href={`data:text/plain;charset=utf-8,${encodeURIComponent(file.text)}`}
          >
            Save it as a file
          </a>
        </details>
      ))}
      {checks.length > 0 && (
        <details>
          <summary className="cursor-pointer font-semibold text-steel-deep">
            {checks.length === 1 ? "An example" : `${checks.length} examples`}
          </summary>
          <ul className="mt-1 grid gap-3">
            {checks.map((check, index) => (
              <li key={check.name || index} className="grid gap-1">
                <strong>{check.name || `example ${index + 1}`}</strong>
                {check.purpose && <span className="note-small">{check.purpose}</span>}
                <p className="note-small">Typed in</p>
                <pre className="overflow-x-auto border border-rule px-2 text-sm" tabIndex={0}>
                  {check.input || "(nothing)"}
                </pre>
                <p className="note-small">Should come out</p>
                <pre className="overflow-x-auto border border-rule px-2 text-sm" tabIndex={0}>
                  {check.expected || "(nothing)"}
                </pre>
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}
