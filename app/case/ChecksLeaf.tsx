import { useState } from "react";
import { Link, useFetcher } from "react-router";
import type { Reply } from "../actions.ts";
import { FilesBeside } from "../checks/FilesBeside.tsx";
import { Console } from "../components/Console.tsx";
import { DrawnFrames } from "../components/DrawnFrames.tsx";
import { FormAsShown } from "../components/FormAsShown.tsx";
import { useClassWords } from "../components/marks.tsx";
import { SheetTable } from "../components/SheetTable.tsx";
import type { CaseView } from "./caseView.ts";
import { FurtherPart } from "./FurtherPart.tsx";
import { Revision } from "./Revision.tsx";

type CheckView = CaseView["checks"][number];

/** Every check with the console of its run on the current version. */
export function ChecksLeaf({ view }: { view: CaseView }) {
  const [adding, setAdding] = useState(false);
  return (
    <div className="grid gap-4">
      {view.assignment !== null && (
        <p className="note-small">
          {view.checks.filter((check) => check.ofAssignment).length} checks come from the assignment{" "}
          <Link className="link" to={`/assignments/${view.assignment}`}>
            {view.assignments.find((each) => each.key === view.assignment)?.title ?? "it belongs to"}
          </Link>
          .
        </p>
      )}
      {view.checks.map((check, at) => (
        <CheckCard
          key={check.key + view.versionNumber}
          check={check}
          number={at + 1}
          caseKey={view.key}
          version={view.version}
          actions={view.actions}
        />
      ))}
      <FurtherPart view={view} />
      {adding ? (
        <CheckForm actions={view.actions} onDone={() => setAdding(false)} />
      ) : (
        <div>
          <button type="button" className="press" onClick={() => setAdding(true)}>
            Add a check
          </button>
          <p className="note-small mt-1">Passing one check is not proof. Try a value on each side of every limit.</p>
        </div>
      )}
    </div>
  );
}

const when = new Intl.DateTimeFormat("en-GB", {
  ...{ day: "numeric", month: "short", year: "numeric", hour: "2-digit", minute: "2-digit", timeZone: "UTC" },
});

function CheckCard({
  check,
  number,
  caseKey,
  version,
  actions,
}: {
  check: CheckView;
  number: number;
  actions: CaseView["actions"];
  caseKey: string;
  version: string;
}) {
  const classWords = useClassWords();
  const [editing, setEditing] = useState(false);
  const fetcher = useFetcher<Reply>();
  if (editing) return <CheckForm check={check} actions={actions} onDone={() => setEditing(false)} />;
  return (
    <section className="grid gap-1">
      <h2 className="flex items-baseline gap-2 text-base">
        {check.handedIn ? "As handed in" : check.ofAssignment ? check.name || "A check" : `Check: ${check.kind}`}
        <span className="note-small font-normal">
          {!check.tells
            ? "judges nothing: nobody said what was typed in"
            : check.passes === null
              ? "open"
              : check.passes
                ? "passes"
                : `fails${check.class ? `: ${classWords(check.class)}` : ""}`}
        </span>
        {check.ofAssignment ? (
          <span className="note-small ml-auto font-normal">of the assignment</span>
        ) : (
          <button type="button" className="press press-quiet ml-auto text-sm" onClick={() => setEditing(true)}>
            Change
          </button>
        )}
      </h2>
      {check.console && (
        <Console
          view={check.console}
          label={`Console of ${check.handedIn ? "the run as handed in" : `check ${number}, ${check.name || check.kind}`}`}
        />
      )}
      {check.sheets.map((sheet) => (
        <SheetTable key={sheet.name} sheet={sheet} />
      ))}
      {check.forms && (
        <FormAsShown shown={check.forms} label={check.handedIn ? "the run as handed in" : `check ${number}`} />
      )}
      {check.picture && (
        <DrawnFrames
          picture={check.picture}
          address={`/cases/${caseKey}/picture.svg?check=${check.key}&version=${version}`}
          label={check.handedIn ? "the run as handed in" : `check ${number}`}
        />
      )}
      {check.found && <FoundPlace found={check.found} />}
      {check.effects.length > 0 && <Effects effects={check.effects} />}
      {Object.keys(check.surroundings).length > 0 && (
        <p className="note-small">
          Beside the program:{" "}
          {Object.entries(check.surroundings)
            .map(([name, text]) => (text === null ? `no ${name}` : name))
            .join(", ")}
          .
        </p>
      )}
      {check.inputRanOut && <p className="note-small">It asked for more input than is typed in here.</p>}
      {check.expected !== null && check.passes !== true && (
        <div>
          <p className="note-small">Intended:</p>
          <pre className="border border-rule px-2 text-[0.85rem] whitespace-pre-wrap">
            {check.expected || "(nothing)"}
          </pre>
        </div>
      )}
      {check.from === "model" && (
        <p className="note-small">What is intended was worked out by the assignment’s model.</p>
      )}
      {check.conflict !== null && (
        <p className="note-small border-l-4 border-ochre pl-2">
          Recorded here is another output: “{check.conflict.trimEnd()}”. For this input the assignment’s counts.
        </p>
      )}
      {check.former.map((each) => (
        <p key={each.at} className="note-small border-l-4 border-ochre pl-2">
          The intended output was changed on {when.format(new Date(each.at))} by the {each.who}
          {check.console && ", when a run had shown the actual one"}. Before:{" "}
          {each.expected === null ? "none was recorded" : `“${each.expected.trimEnd()}”`}.
        </p>
      ))}
      {check.tells && <p className="note-small">{check.reason}</p>}
      {check.onlyPromptsDiffer && !check.ofAssignment && (
        <fetcher.Form method="post">
          <input type="hidden" name="intent" value="check" />
          <Revision />
          <input type="hidden" name="key" value={check.key} />
          <input type="hidden" name="input" value={check.input} />
          <input type="hidden" name="expected" value={check.recorded ?? ""} />
          <input type="hidden" name="kind" value={check.kind} />
          {Object.entries(check.surroundings).map(([name, text], index) => (
            <span key={name}>
              <input type="hidden" name="fileName" value={name} />
              <input type="hidden" name="fileText" value={text ?? ""} />
              {text === null && <input type="hidden" name="fileAbsent" value={index} />}
            </span>
          ))}
          <input type="hidden" name="ignorePrompts" value="yes" />
          <button className="press" type="submit">
            Ignore prompts in this check
          </button>
        </fetcher.Form>
      )}
    </section>
  );
}

/** Where a debugger found a crash that named no line: ours, not the tool's. */
function FoundPlace({ found }: { found: NonNullable<CheckView["found"]> }) {
  const own = found.frames.filter((frame) => frame.own && frame.line !== undefined);
  return (
    <section className="border-l-4 border-ochre pl-2 text-sm" aria-label="Found with a debugger">
      <p>
        <strong>Found by us with a debugger</strong> (the tool names no line):{" "}
        {own.map((frame) => `line ${frame.line} in ${frame.name || "the program"}`).join(", called ")}.
      </p>
      {found.values.length > 0 && (
        <p className="font-mono">{found.values.map((value) => `${value.name} = ${value.text}`).join(", ")}</p>
      )}
      {found.unprinted && (
        <p>
          Handed over for printing and lost: <code>{found.unprinted}</code>
        </p>
      )}
    </section>
  );
}

const changeWords = { new: "made", changed: "changed", gone: "taken away" } as const;

/** Files that the run left behind. They are thrown away: every run starts clean. */
function Effects({ effects }: { effects: CheckView["effects"] }) {
  return (
    <details className="text-sm">
      <summary>
        {effects.length === 1 ? "1 file" : `${effects.length} files`} left by this run (thrown away; every run starts
        clean)
      </summary>
      <ul className="mt-1 grid gap-1">
        {effects.map((effect) => (
          <li key={effect.name}>
            <code>{effect.name}</code> {changeWords[effect.change]}
            {effect.change !== "gone" && `, ${effect.size} bytes`}
            {effect.text && (
              <pre className="border border-rule px-2 wrap-anywhere whitespace-pre-wrap">{effect.text}</pre>
            )}
          </li>
        ))}
      </ul>
    </details>
  );
}

function CheckForm({
  check,
  actions,
  onDone,
}: {
  check?: CheckView;
  actions: CaseView["actions"];
  onDone: () => void;
}) {
  const fetcher = useFetcher<Reply>();
  if (fetcher.state === "idle" && fetcher.data?.ok) setTimeout(onDone, 0);
  return (
    <fetcher.Form method="post" className="grid gap-2 border border-rule-strong bg-leaf p-3">
      <Revision />
      {check && <input type="hidden" name="key" value={check.key} />}
      <div className="grid grid-cols-2 gap-3">
        <label>
          {actions?.label ?? "Typed in"}
          <textarea
            name="input"
            className="field field-code"
            rows={4}
            defaultValue={check?.input ?? ""}
            spellCheck={false}
            wrap="off"
            {...(actions ? { "aria-describedby": "actions-note" } : {})}
          />
        </label>
        <label>
          Should come out
          <textarea
            name="expected"
            className="field field-code"
            rows={4}
            defaultValue={check?.recorded ?? ""}
            spellCheck={false}
            wrap="off"
          />
        </label>
      </div>
      {actions && (
        <p id="actions-note" className="note-small">
          {actions.label}, {actions.note}
        </p>
      )}
      {fetcher.data && !fetcher.data.ok && (
        <p role="alert" className="border-l-4 border-ochre pl-3 font-semibold">
          {fetcher.data.message}
        </p>
      )}
      <fieldset className="flex gap-4">
        <legend className="sr-only">Kind of test data</legend>
        {(["normal", "boundary", "erroneous"] as const).map((kind) => (
          <label key={kind} className="font-normal">
            <input type="radio" name="kind" value={kind} defaultChecked={(check?.kind ?? "normal") === kind} /> {kind}
          </label>
        ))}
      </fieldset>
      <FilesBeside initial={check?.surroundings ?? {}} />
      <label className="font-normal">
        <input type="checkbox" name="ignorePrompts" defaultChecked={check?.ignorePrompts ?? false} /> prompts do not
        matter
      </label>
      <label className="font-normal">
        <input type="checkbox" name="expectsNothing" defaultChecked={check?.recorded === ""} /> nothing should come out
      </label>
      <div className="flex gap-3">
        <button
          type="submit"
          name="intent"
          value="check"
          className="press press-main"
          disabled={fetcher.state !== "idle"}
        >
          Keep and run
        </button>
        <button type="button" className="press" onClick={onDone}>
          Leave as it was
        </button>
        {check && !check.handedIn && (
          <button type="submit" name="intent" value="remove check" className="press press-quiet">
            Take this check away
          </button>
        )}
      </div>
    </fetcher.Form>
  );
}
