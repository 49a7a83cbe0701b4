import { useState } from "react";
import { useFetcher } from "react-router";
import type { InputValue } from "../../core/assignments/inputShape.ts";
import type { Reply } from "../actions.ts";
import { Said, settled } from "../components/Said.tsx";
import type { AssignmentView } from "./assignmentView.ts";
import { Revision } from "./Revision.tsx";

const kinds = [
  ["whole", "whole number"],
  ["decimal", "decimal number"],
  ["text", "text"],
  ["choice", "one of some words"],
] as const;

/** What is typed in, value by value, and the inputs that are worth trying with it. */
export function InputsPart({ view }: { view: AssignmentView }) {
  const fetcher = useFetcher<Reply>();
  const shown = view.proposals.slice(0, 60);
  const canWorkOut = view.models.length > 0;
  const busy = fetcher.state !== "idle";
  return (
    <section className="grid gap-3" aria-label="Proposed inputs">
      <header className="flex flex-wrap items-baseline gap-3">
        <h2 className="mr-auto">Inputs worth trying</h2>
        {canWorkOut && shown.length > 0 && (
          <fetcher.Form method="post">
            <Revision />
            <button className="press press-main" name="intent" value="propose" type="submit" disabled={busy}>
              {busy ? "The model is run…" : "Take those that matter"}
            </button>
          </fetcher.Form>
        )}
      </header>
      <Said reply={settled(fetcher)} />
      <Shape view={view} />
      {shown.length === 0 ? (
        <p className="note-small">
          {view.shape.length === 0
            ? "Say what is typed in, or add a model that reads something: inputs are proposed then."
            : "Every input that would be proposed is a check already."}
        </p>
      ) : (
        <details>
          <summary className="cursor-pointer font-semibold text-steel-deep">
            {shown.length} are proposed{view.proposals.length > shown.length && ` of ${view.proposals.length}`}: choose
            some
          </summary>
          <fetcher.Form method="post" className="mt-2 grid gap-2">
            <Revision />
            <input type="hidden" name="chosen" value="yes" />
            <ul className="leaf max-h-96 divide-y divide-rule overflow-auto" tabIndex={0}>
              {shown.map((proposal) => (
                <li key={proposal.input} className="px-3 py-1">
                  <label className="grid grid-cols-[1.5rem_1fr_auto] items-start gap-2 font-normal">
                    <input type="checkbox" name="input" value={proposal.input} className="mt-1.5" />
                    <span>
                      {proposal.purpose} <span className="note-small">{proposal.kind}</span>
                    </span>
                    <code className="text-sm whitespace-pre">
                      {proposal.input.trimEnd().split("\n").slice(0, 6).join(" ⏎ ") || "(nothing)"}
                    </code>
                  </label>
                </li>
              ))}
            </ul>
            <div>
              <button className="press" name="intent" value="propose" type="submit" disabled={busy || !canWorkOut}>
                Take the ticked ones
              </button>
              {!canWorkOut && (
                <span className="note-small ml-3">A model is needed, to work out what should come out.</span>
              )}
            </div>
          </fetcher.Form>
        </details>
      )}
    </section>
  );
}

/** The values that are typed in, one a row, to be corrected. */
function Shape({ view }: { view: AssignmentView }) {
  const fetcher = useFetcher<Reply>();
  const [more, setMore] = useState(0);
  const empty: InputValue = { name: "", kind: "whole", from: null, to: null, choices: [], repeat: "1" };
  const rows = [...view.shape, ...Array.from({ length: more + (view.shape.length === 0 ? 1 : 0) }, () => empty)];
  return (
    <details open={view.shape.length > 0 && view.checks.length === 0}>
      <summary className="cursor-pointer font-semibold text-steel-deep">
        What is typed in{view.shape.length > 0 && `: ${view.shape.map((value) => value.name).join(", ")}`}
      </summary>
      <fetcher.Form key={`${view.revision} ${view.shape.length}`} method="post" className="mt-2 grid gap-2">
        <Revision />
        <section className="overflow-x-auto" tabIndex={0} aria-label="Values that are typed in">
          <table className="leaf w-full text-sm">
            <thead>
              <tr className="border-b-2 border-rule-strong text-left">
                {["Value", "Kind", "From", "To", "Words", "How often"].map((title) => (
                  <th key={title} className="px-2 py-1">
                    {title}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map((value, index) => (
                <tr key={index} className="border-b border-rule">
                  {(
                    [
                      ["valueName", "Value", value.name],
                      ["valueKind", "Kind", value.kind],
                      ["from", "From", value.from ?? ""],
                      ["to", "To", value.to ?? ""],
                      ["choices", "Words", value.choices.join(", ")],
                      ["repeat", "How often", value.repeat],
                    ] as const
                  ).map(([name, label, text]) => (
                    <td key={name} className="px-1 py-1">
                      {name === "valueKind" ? (
                        <select
                          name={name}
                          className="field"
                          aria-label={`${label} of row ${index + 1}`}
                          defaultValue={text}
                        >
                          {kinds.map(([id, words]) => (
                            <option key={id} value={id}>
                              {words}
                            </option>
                          ))}
                        </select>
                      ) : (
                        <input
                          name={name}
                          className="field min-w-14"
                          aria-label={`${label} of row ${index + 1}`}
                          defaultValue={text}
                        />
                      )}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </section>
        <p className="note-small">
          How often: a number, the name of a value above it, or “until” and the line that ends it. No limit: leave it
          empty.
        </p>
        <div className="flex flex-wrap items-baseline gap-3">
          <button className="press" name="intent" value="shape" type="submit">
            Keep what is typed in
          </button>
          <button type="button" className="press press-quiet" onClick={() => setMore(more + 1)}>
            One more value
          </button>
          {view.models.length > 0 && (
            <button className="press press-quiet" name="intent" value="guess shape" type="submit">
              Guess it from the model again
            </button>
          )}
          <Said reply={settled(fetcher)} />
        </div>
      </fetcher.Form>
    </details>
  );
}
