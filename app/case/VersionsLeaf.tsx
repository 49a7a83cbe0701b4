import { useFetcher } from "react-router";
import type { Reply } from "../actions.ts";
import { Console } from "../components/Console.tsx";
import { FixSlip } from "../components/FixSlip.tsx";
import { Said, settled } from "../components/Said.tsx";
import type { CaseView } from "./caseView.ts";
import { Revision } from "./Revision.tsx";

/** All versions, tries that did not help among them; going back to one is one press. */
export function VersionsLeaf({ view }: { view: CaseView }) {
  const fetcher = useFetcher<Reply>();
  return (
    <>
      <Said reply={settled(fetcher)} className="mb-2" />
      {view.prepared.length > 0 && (
        <section className="mb-4 grid gap-2" aria-label="Prepared parts">
          <h2 className="text-base">Parts that are commented out</h2>
          <p className="note-small">
            They look like prepared examples. Switching one on makes a version of its own; what was handed in stays.
          </p>
          {view.prepared.map((part) => (
            <fetcher.Form key={part.from} method="post" className="flex items-start gap-3 border-b border-rule pb-1">
              <input type="hidden" name="intent" value="switch" />
              <Revision />
              <input type="hidden" name="from" value={part.from} />
              <input type="hidden" name="to" value={part.to} />
              <pre className="min-w-0 flex-1 overflow-x-auto text-sm" tabIndex={0}>
                {part.text}
              </pre>
              {view.switched && (
                <button className="press press-quiet text-sm" type="submit" name="alone" value="on">
                  Instead of the others
                </button>
              )}
              <button className="press press-quiet text-sm" type="submit">
                Switch on{" "}
                {part.from === part.to
                  ? `line ${part.from + view.firstLine - 1}`
                  : `lines ${part.from + view.firstLine - 1} to ${part.to + view.firstLine - 1}`}
              </button>
            </fetcher.Form>
          ))}
        </section>
      )}
      <ol className="grid gap-3">
        {view.versions.map((version) => (
          <li key={version.key} className="grid gap-1 border-b border-rule pb-2">
            <div className="flex items-center gap-3">
              <strong>Version {version.number}</strong>
              <span className="note-small">
                {version.origin}
                {version.worked && version.origin !== "worked before" ? ", worked" : ""}
                {version.current ? ", current" : ""}
              </span>
              {!version.current && (
                <fetcher.Form method="post" className="ml-auto">
                  <input type="hidden" name="intent" value="worked" />
                  <Revision />
                  <input type="hidden" name="key" value={version.key} />
                  <button
                    className="press press-quiet text-sm"
                    name="worked"
                    value={version.worked ? "no" : "yes"}
                    type="submit"
                    aria-pressed={version.worked}
                  >
                    {version.worked ? "It did not work" : "This one worked"}
                  </button>
                </fetcher.Form>
              )}
              {!version.current && (
                <fetcher.Form method="post">
                  <input type="hidden" name="intent" value="back" />
                  <Revision />
                  <button className="press" name="key" value={version.key} type="submit">
                    Go back to this
                  </button>
                </fetcher.Form>
              )}
            </div>
            {(version.belief || version.became) && (
              <p className="text-sm">
                {version.belief && <>Believed: {version.belief}. </>}
                {version.became && `${version.became[0]?.toUpperCase()}${version.became.slice(1)}.`}
              </p>
            )}
            {version.changes.length > 0 && <FixSlip hunks={version.changes} />}
            {version.output && (
              <details>
                <summary className="cursor-pointer text-sm font-semibold text-steel-deep">
                  What this version printed
                </summary>
                <Console view={version.output.console} label={`Console of version ${version.number}`} />
              </details>
            )}
          </li>
        ))}
      </ol>
    </>
  );
}
