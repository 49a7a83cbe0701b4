import { type FormEvent, useState } from "react";
import { Form, useFetcher, useSearchParams, useSubmit } from "react-router";
import { type Probe, probeWords } from "../../core/narrowing/probes.ts";
import type { Reply } from "../actions.ts";
import { Said, settled } from "../components/Said.tsx";
import type { CaseView } from "./caseView.ts";
import { Log, Reads } from "./NarrowLog.tsx";
import type { NarrowView } from "./narrowView.ts";
import { PartPlan } from "./PartPlan.tsx";
import { Revision } from "./Revision.tsx";

/** What a person narrows a fault down with: the line that was pressed, and what is to be tried. */
export type Narrowing = { line: number | null; probes: readonly Probe[] };

type Props = { view: CaseView; narrowing: Narrowing; onChange: (narrowing: Narrowing) => void };

/** Where values changed last, what reads took, and tries in a copy of the program; the program itself stays as it is. */
export function NarrowLeaf({ view, narrowing, onChange }: Props) {
  const submit = useSubmit();
  const [query] = useSearchParams();
  const narrow = view.narrow;
  if (!narrow) return null;
  const number = (line: number) => line + view.firstLine - 1;
  return (
    <div className="grid gap-3">
      {view.checks.length > 1 && (
        <Form
          method="get"
          preventScrollReset
          onChange={(event) => void submit(event.currentTarget, { preventScrollReset: true })}
        >
          <input type="hidden" name="leaf" value="narrow" />
          {query.get("through") && <input type="hidden" name="through" value={query.get("through") ?? ""} />}
          <label className="text-sm">
            Input of{" "}
            <select name="check" defaultValue={narrow.check} className="field w-auto">
              {view.checks.map((check, index) => (
                <option key={check.key} value={check.key}>
                  {check.handedIn ? "the run as handed in" : check.name || `check ${index + 1} (${check.kind})`}
                </option>
              ))}
            </select>
          </label>
        </Form>
      )}
      {narrowing.line === null ? (
        <p>Press a line of the program: its values, its reads and what can be tried there come here.</p>
      ) : (
        <section className="grid gap-2" aria-label={`Line ${number(narrowing.line)}`}>
          <h2 className="text-base">
            Line {number(narrowing.line)}{" "}
            <code className="text-sm font-normal">{view.lines[narrowing.line - 1]?.trim()}</code>
          </h2>
          <ValuesOf narrow={narrow} line={narrowing.line} number={number} />
          <ProbeForms narrow={narrow} narrowing={narrowing} onChange={onChange} line={narrowing.line} />
        </section>
      )}
      <ToTry view={view} narrow={narrow} narrowing={narrowing} onChange={onChange} number={number} />
      <Reads narrow={narrow} number={number} />
      <Log narrow={narrow} />
      <PartPlan plan={narrow.plan} number={number} />
    </div>
  );
}

type Numbered = { number: (line: number) => number };

/** What the names of a line held when it ran last, and which line had given them that. */
function ValuesOf({ narrow, line, number }: { narrow: NarrowView; line: number } & Numbered) {
  const names = narrow.names.find((each) => each.line === line)?.names ?? [];
  const ran = narrow.lastRun[line];
  if (!narrow.recorded) return <p className="note-small">There is no recorded run, so no values are known.</p>;
  const own = narrow.histories.filter((history) => names.includes(history.title) && history.total > 0);
  if (own.length === 0)
    return (
      <p className="note-small">{ran === undefined ? "It never ran in this run." : "No variable stands in it."}</p>
    );
  return (
    <ul className="grid gap-1">
      {own.map((history) => {
        const before = history.changes.filter((change) => ran === undefined || change.step < ran);
        const last = before.at(-1);
        return (
          <li key={history.key}>
            <strong>{history.key}</strong>{" "}
            {last ? (
              <>
                was <code className="text-sm">{last.value}</code>, last changed in{" "}
                <strong>line {number(last.line)}</strong>
                {ran === undefined ? "; this line never ran." : " when this line ran last."}
              </>
            ) : (
              "had no value yet when this line ran last."
            )}
            {history.stale.map((stale) => (
              <p key={`${stale.madeIn} ${stale.usedIn}`} className="border-l-2 border-ochre pl-2">
                <strong>Stale in line {number(stale.usedIn)}:</strong> it was worked out in line {number(stale.madeIn)}{" "}
                as a position in {stale.of}, which line {number(stale.changedIn)} has changed since.
              </p>
            ))}
            <details>
              <summary className="cursor-pointer text-sm text-steel-deep">
                {history.total} {history.total === 1 ? "change" : "changes"}
              </summary>
              <ol className="max-h-40 overflow-auto text-sm" tabIndex={0} aria-label={`Changes of ${history.key}`}>
                {history.total > history.changes.length && (
                  <li>… {history.total - history.changes.length} before these</li>
                )}
                {history.changes.map((change) => (
                  <li key={change.step}>
                    line {number(change.line)}: <code className="text-sm">{change.value}</code>
                  </li>
                ))}
              </ol>
            </details>
          </li>
        );
      })}
    </ul>
  );
}

/** What can be tried at a line. */
function ProbeForms({ narrow, narrowing, onChange, line }: Omit<Props, "view"> & { narrow: NarrowView; line: number }) {
  const names = narrow.names.find((each) => each.line === line)?.names ?? [];
  const add = (probe: Probe) => onChange({ ...narrowing, probes: [...narrowing.probes, probe] });
  const isOff = narrowing.probes.some((probe) => probe.kind === "off" && probe.line === line);
  const read = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    return Object.fromEntries(
      [...new FormData(event.currentTarget)].map(([name, value]) => [name, String(value).trim()]),
    );
  };
  return (
    <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
      <button
        type="button"
        className="press"
        aria-pressed={isOff}
        onClick={() =>
          isOff
            ? onChange({
                ...narrowing,
                probes: narrowing.probes.filter((probe) => probe.kind !== "off" || probe.line !== line),
              })
            : add({ kind: "off", line })
        }
      >
        {isOff ? "Switch it on again" : "Switch it off"}
      </button>
      <form
        key={`print ${line}`}
        className="flex items-end gap-1"
        onSubmit={(event) => {
          const { expression } = read(event);
          if (expression) add({ kind: "print", line, expression });
        }}
      >
        <label className="text-sm">
          Print
          <input name="expression" className="field w-32 font-mono" required defaultValue={names[0] ?? ""} />
        </label>
        <button className="press" type="submit">
          Add
        </button>
      </form>
      <form
        key={`set ${line}`}
        className="flex items-end gap-1"
        onSubmit={(event) => {
          const { name, value } = read(event);
          if (name && value) add({ kind: "set", line, name, value });
        }}
      >
        <label className="text-sm">
          Set
          <input name="name" className="field w-20 font-mono" required defaultValue={names[0] ?? ""} />
        </label>
        <label className="text-sm">
          to
          <input name="value" className="field w-20 font-mono" required />
        </label>
        <button className="press" type="submit">
          Add
        </button>
      </form>
    </div>
  );
}

/** What is to be tried together, and the run of the copy. */
function ToTry({ view, narrow, narrowing, onChange, number }: Props & { narrow: NarrowView } & Numbered) {
  const fetcher = useFetcher<Reply>();
  const [belief, setBelief] = useState("");
  if (narrowing.probes.length === 0) return <Said reply={settled(fetcher)} />;
  const said = (probe: Probe) => probeWords({ ...probe, line: number(probe.line) });
  return (
    <fetcher.Form method="post" className="grid gap-2 border border-rule-strong bg-slip p-2" aria-label="To try">
      <input type="hidden" name="intent" value="narrow" />
      <Revision />
      <input type="hidden" name="check" value={narrow.check} />
      <input type="hidden" name="probes" value={JSON.stringify(narrowing.probes)} />
      <ul className="grid gap-1">
        {narrowing.probes.map((probe, at) => (
          <li key={at} className="flex items-baseline justify-between gap-2">
            <span>
              {at + 1}. {said(probe)}
            </span>
            <button
              type="button"
              className="press press-quiet text-sm"
              aria-label={`Leave out: ${said(probe)}`}
              onClick={() => onChange({ ...narrowing, probes: narrowing.probes.filter((_, each) => each !== at) })}
            >
              Leave out
            </button>
          </li>
        ))}
      </ul>
      <label className="text-sm">
        What you believe (kept in the log)
        <input name="belief" className="field" value={belief} onChange={(event) => setBelief(event.target.value)} />
      </label>
      <div className="flex gap-3">
        <button className="press press-main" type="submit" disabled={fetcher.state !== "idle" || !view.runs}>
          {fetcher.state === "idle" ? "Run the copy" : "Running…"}
        </button>
        <button type="button" className="press press-quiet" onClick={() => onChange({ ...narrowing, probes: [] })}>
          Take all of it back
        </button>
      </div>
      <Said reply={settled(fetcher)} />
    </fetcher.Form>
  );
}
