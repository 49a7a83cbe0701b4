import { Link } from "react-router";
import { Console } from "../components/Console.tsx";
import { IntendedOutput } from "./IntendedOutput.tsx";
import type { PressedCell } from "./overviewView.ts";

/** The run of a pressed cell beside what is intended, with the first line that differs. */
export function PressedCellView({ cell }: { cell: PressedCell }) {
  const { difference } = cell;
  const show = (text: string | null) => (text === null ? "nothing more" : text || "an empty line");
  return (
    <section className="leaf grid gap-2 p-3" aria-label="The run of the pressed cell">
      <header className="flex flex-wrap items-baseline gap-x-3">
        <h2 className="text-base">
          {cell.name}: {cell.check.name}
        </h2>
        <Link className="link text-sm" to={`/cases/${cell.caseKey}`}>
          open the case
        </Link>
      </header>
      {cell.check.purpose && <p className="note-small">{cell.check.purpose}</p>}
      {difference && (
        <p>
          Line {difference.line} is <code className="border-b-2 border-teal">{show(difference.actual)}</code>; intended
          is <code className="border-b-2 border-rule-strong">{show(difference.intended)}</code>
          {difference.onlyPromptsDiffer && " (only the prompts differ)"}.
        </p>
      )}
      {cell.message && <p className="text-ochre">{cell.message}</p>}
      <div className="grid gap-3 sm:grid-cols-2 xl:grid-cols-1">
        <div className="grid content-start gap-1">
          <h3 className="note-small">What it did</h3>
          {cell.console ? <Console view={cell.console} label="What the program did" /> : <p>It was not run.</p>}
        </div>
        <div className="grid content-start gap-1">
          <h3 className="note-small">
            What is intended{cell.from === "model" && ", as the model says"}
            {cell.from === "assignment" && ", as the assignment says"}
          </h3>
          <div className="max-h-64 overflow-auto border border-rule bg-leaf p-2" tabIndex={0}>
            <IntendedOutput check={cell} />
          </div>
        </div>
      </div>
      {cell.conflict !== null && (
        <p className="border-l-4 border-ochre pl-2">
          The student had said that something else should come out: “{cell.conflict.trimEnd()}”. The assignment counts.
        </p>
      )}
      {cell.earlier.length > 0 && (
        <p className="note-small">
          Handed in before:{" "}
          {cell.earlier.map((each, index) => (
            <span key={each.key}>
              {index > 0 && ", "}
              <a className="link" href={`/cases/${each.key}`}>
                {each.file}
              </a>{" "}
              ({each.class ?? (each.passesAll ? "no fault shown" : each.judged ? "open" : "not judged")})
            </span>
          ))}
        </p>
      )}
      <details>
        <summary className="cursor-pointer text-sm font-semibold text-steel-deep">Typed in</summary>
        <pre className="text-sm whitespace-pre-wrap">{cell.input || "(nothing)"}</pre>
      </details>
    </section>
  );
}
