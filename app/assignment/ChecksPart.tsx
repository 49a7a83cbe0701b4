import { useState } from "react";
import { useFetcher } from "react-router";
import type { Reply } from "../actions.ts";
import { Said, settled } from "../components/Said.tsx";
import type { AssignmentView, CheckShown } from "./assignmentView.ts";
import { CheckForm } from "./CheckForm.tsx";
import { IntendedOutput } from "./IntendedOutput.tsx";
import { Revision } from "./Revision.tsx";

const when = new Intl.DateTimeFormat("en-GB", {
  ...{ day: "numeric", month: "short", hour: "2-digit", minute: "2-digit", timeZone: "UTC" },
});

/** The checks of an assignment: the test table that judges every program of it. */
export function ChecksPart({ view }: { view: AssignmentView }) {
  const [adding, setAdding] = useState(false);
  const [changing, setChanging] = useState<string | null>(null);
  const fetcher = useFetcher<Reply>();
  const proposed = view.checks.filter((check) => !check.confirmed);
  const withModel = view.models.length > 0;
  return (
    <section className="grid gap-3" aria-label="Checks">
      <header className="flex flex-wrap items-baseline gap-3">
        <h2 className="mr-auto">Checks</h2>
        <button type="button" className="press" disabled={adding} onClick={() => setAdding(true)}>
          Add a check
        </button>
        {proposed.length > 0 && (
          <fetcher.Form method="post" className="flex items-baseline gap-3">
            <Revision />
            {proposed.map((check) => (
              <input key={check.key} type="hidden" name="key" value={check.key} />
            ))}
            <span className="note-small">{proposed.length} wait for you: are these outputs right?</span>
            <button className="press press-main" name="intent" value="confirm" type="submit">
              {proposed.length === 1 ? "Confirm it" : `Confirm all ${proposed.length}`}
            </button>
          </fetcher.Form>
        )}
      </header>
      <Said reply={settled(fetcher)} />
      {adding && <CheckForm withModel={withModel} onDone={() => setAdding(false)} />}
      {view.checks.length === 0 && !adding && (
        <p className="leaf p-3">
          No checks yet. A check is one run: what is typed in, and what should come out. Add a model program first and
          take the inputs that are proposed, or write one by hand.
        </p>
      )}
      {view.checks.length > 0 && (
        <section className="overflow-x-auto" tabIndex={0} aria-label="Table of checks">
          <table className="leaf w-full">
            <thead>
              <tr className="border-b-2 border-rule-strong text-left">
                <th className="px-3 py-1">Check</th>
                <th className="px-3 py-1">Typed in</th>
                <th className="px-3 py-1">Should come out</th>
                <th className="px-3 py-1">
                  <span className="sr-only">Change</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {view.checks.map((check, index) =>
                changing === check.key ? (
                  <tr key={check.key}>
                    <td colSpan={4} className="p-2">
                      <CheckForm check={check} withModel={withModel} onDone={() => setChanging(null)} />
                    </td>
                  </tr>
                ) : (
                  <CheckRow
                    key={check.key}
                    check={check}
                    number={index + 1}
                    fetcher={fetcher}
                    onChange={() => setChanging(check.key)}
                  />
                ),
              )}
            </tbody>
          </table>
        </section>
      )}
      <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
        <fetcher.Form method="post" encType="multipart/form-data" className="flex flex-wrap items-end gap-2">
          <Revision />
          <input type="hidden" name="intent" value="take files" />
          <label className="link cursor-pointer py-1 focus-within:outline-2">
            Take checks from files
            <input
              type="file"
              name="file"
              multiple
              className="sr-only"
              onChange={(event) => event.target.files?.length && event.target.form?.requestSubmit()}
            />
          </label>
          <span className="note-small py-1">NAME.in with NAME.out, a zip of such, or an assignment.json</span>
        </fetcher.Form>
        {view.checks.length > 0 && (
          <a className="link ml-auto py-1" href={`/assignments/${view.key}/export/checks.zip`} download>
            Checks as files
          </a>
        )}
      </div>
    </section>
  );
}

function CheckRow({
  check,
  number,
  fetcher,
  onChange,
}: {
  check: CheckShown;
  number: number;
  fetcher: ReturnType<typeof useFetcher<Reply>>;
  onChange: () => void;
}) {
  const name = check.name || `check ${number}`;
  return (
    <tr className="border-b border-rule align-top">
      <td className="max-w-56 px-3 py-2">
        <strong>
          {number}. {name}
        </strong>
        <p className="note-small">
          {[check.kind, check.purpose, check.visible ? "students see it" : ""].filter(Boolean).join("; ")}
        </p>
        {Object.keys(check.surroundings).length > 0 && (
          <p className="note-small">Beside it: {Object.keys(check.surroundings).join(", ")}</p>
        )}
        {Object.keys(check.comparison).length > 0 && <p className="note-small">Compared by rules of its own.</p>}
      </td>
      <td className="px-3 py-2">
        <pre className="max-h-40 overflow-auto text-[0.85rem] whitespace-pre-wrap" tabIndex={0}>
          {check.input || "(nothing)"}
        </pre>
      </td>
      <td className="px-3 py-2">
        <IntendedOutput check={check} />
        {check.workedOut && (
          <p className="note-small">
            Worked out by a model{check.confirmed ? ", confirmed by you" : "; it judges nothing before you confirm it"}.
          </p>
        )}
        {check.contradicts !== null && (
          <p className="border-l-4 border-ochre pl-2">
            Check {check.contradicts + 1} has the same typed in and means another output: no program can pass both.
          </p>
        )}
        {check.former.map((each) => (
          <p key={each.at} className="note-small border-l-4 border-ochre pl-2">
            Changed on {when.format(new Date(each.at))} by the {each.who}. Before:{" "}
            {each.expected === null ? "none" : `“${each.expected.trimEnd()}”`}.
          </p>
        ))}
      </td>
      <td className="px-3 py-2 text-right whitespace-nowrap">
        {!check.confirmed && (
          <fetcher.Form method="post" className="inline">
            <Revision />
            <input type="hidden" name="key" value={check.key} />
            <button className="press" name="intent" value="confirm" type="submit" aria-label={`Confirm ${name}`}>
              Confirm
            </button>
          </fetcher.Form>
        )}
        {number > 1 && (
          <fetcher.Form method="post" className="inline">
            <Revision />
            <input type="hidden" name="key" value={check.key} />
            <input type="hidden" name="by" value="up" />
            <button
              className="press press-quiet"
              name="intent"
              value="move check"
              type="submit"
              aria-label={`Move ${name} up`}
            >
              Up
            </button>
          </fetcher.Form>
        )}
        <button type="button" className="press press-quiet" onClick={onChange} aria-label={`Change ${name}`}>
          Change
        </button>
      </td>
    </tr>
  );
}
