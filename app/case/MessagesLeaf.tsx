import { useState } from "react";
import { useFetcher } from "react-router";
import type { Reply } from "../actions.ts";
import type { CaseView } from "./caseView.ts";
import type { MessageView, SourceView } from "./messagesView.ts";
import { Revision } from "./Revision.tsx";

/** Every message of the current version taken apart, the one to work on first. */
export function MessagesLeaf({ view }: { view: CaseView }) {
  if (view.messages.length === 0)
    return (
      <div className="grid gap-2">
        <p>No tool said anything about this version, neither in what was pasted nor in the run here.</p>
        <p className="note-small">
          Silence is no proof. A name that is misspelt everywhere, a slip inside quotes and a wrong formula give no
          message.
        </p>
      </div>
    );
  return (
    <div className="grid gap-5">
      {view.messages.map((source, index) => (
        <Source key={`${index}${source.title}`} source={source} number={index} first={view.firstLine} />
      ))}
      <Checklist />
    </div>
  );
}

function Source({ source, number, first }: { source: SourceView; number: number; first: number }) {
  const [onlyFirst, setOnlyFirst] = useState(source.messages.length > 6);
  const [whole, setWhole] = useState(false);
  // A remark belongs to the message before it; one without any stands for itself.
  const remarks = new Map<number, MessageView[]>();
  let above: MessageView | undefined;
  for (const message of source.messages) {
    if (message.severity !== "note") above = message;
    else if (above) remarks.set(above.index, [...(remarks.get(above.index) ?? []), message]);
  }
  const attached = new Set([...remarks.values()].flat());
  const warnings = source.messages.filter((message) => message.severity === "warning");
  const others = source.messages.filter((message) => message.severity !== "warning" && !attached.has(message));
  const ordered = [...others].sort((one, other) => Number(other.group === "primary") - Number(one.group === "primary"));
  const { errors, warnings: warned, notes } = source.counts;
  const count = (many: number, one: string) => `${many} ${one}${many === 1 ? "" : "s"}`;
  return (
    <section aria-label={source.title} className="grid gap-3">
      <header className="flex flex-wrap items-baseline gap-x-4">
        <h2 className="text-base">{source.title}</h2>
        {source.recognised && (
          <span className="note-small">
            {[
              errors > 0 ? count(errors, "error") : "",
              warned > 0 ? count(warned, "warning") : "",
              notes > 0 ? count(notes, "note") : "",
            ]
              .filter((part) => part)
              .join(", ")}
            {errors === 0 && `: ${source.state}`}
          </span>
        )}
        <button
          type="button"
          className="press press-quiet ml-auto text-sm"
          aria-expanded={whole}
          onClick={() => setWhole(!whole)}
        >
          {whole ? "Taken apart" : "All of it, as it was"}
        </button>
      </header>
      {!source.recognised && <p>No reader knows this text. It is kept whole, and nothing is guessed from it.</p>}
      {whole || !source.recognised ? (
        <pre className="overflow-x-auto border border-rule bg-sheet p-2 text-sm whitespace-pre-wrap">{source.text}</pre>
      ) : (
        <>
          {source.proves && <p className="note-small border-l-2 border-rule-strong pl-2">{source.proves}</p>}
          {ordered.length > 1 && (
            <label className="font-normal">
              <input type="checkbox" checked={onlyFirst} onChange={(event) => setOnlyFirst(event.target.checked)} />{" "}
              only the one to work on
            </label>
          )}
          {ordered
            .filter((message) => !onlyFirst || message.group === "primary")
            .map((message) => (
              <Message
                key={message.index}
                message={message}
                remarks={remarks.get(message.index)}
                id={`message-${number}-${message.index}`}
                first={first}
              />
            ))}
          {source.more > 0 && <p className="note-small">and {source.more} more</p>}
          {warnings.length > 0 && (
            <section className="grid gap-2" aria-label="Warnings">
              <h3 className="text-sm font-semibold">
                Warnings: they refuse nothing, and may show what else nothing shows
              </h3>
              {warnings.map((warning) => (
                <Warning
                  key={warning.index}
                  warning={warning}
                  remarks={remarks.get(warning.index)}
                  first={first}
                  id={`message-${number}-${warning.index}`}
                />
              ))}
            </section>
          )}
        </>
      )}
    </section>
  );
}

function Place({ message, first }: { message: MessageView; first: number }) {
  if (message.line === null) return <span className="note-small">no line is told</span>;
  const words = `line ${message.line + first - 1}${message.column ? `, column ${message.column}` : ""}`;
  return message.file === null ? (
    <a className="link" href={`#line-${message.line}`}>
      {words}
    </a>
  ) : (
    <span>
      {message.file}, {words}
    </span>
  );
}

const groupWords: Record<MessageView["group"], string> = {
  primary: "Work on this one",
  follows: "Likely to follow from it",
  own: "One of its own",
  warning: "Warning",
  note: "Remark",
};
const roleWords = { name: "name", type: "type", value: "value", sign: "sign" } as const;

/** What a tool adds to a message. */
function Remarks({ remarks = [], first }: { remarks?: readonly MessageView[]; first: number }) {
  return remarks.map((remark) => (
    <p key={remark.index} className="note-small">
      <Place message={remark} first={first} /> <span className="font-mono">{remark.title}</span>
    </p>
  ));
}

function Message({
  message,
  remarks,
  id,
  first,
}: {
  message: MessageView;
  remarks?: readonly MessageView[];
  id: string;
  first: number;
}) {
  const main = message.group === "primary";
  return (
    <article
      id={id}
      tabIndex={-1}
      className={`grid gap-1.5 border-l-4 pl-3 ${main ? "border-ink" : "border-rule-strong"}`}
    >
      <p className="note-small flex flex-wrap gap-x-3">
        <strong className="text-ink">{groupWords[message.group]}</strong>
        <Place message={message} first={first} />
        {message.kind && <span>{message.kind}</span>}
        {message.code && <span className="font-mono">{message.code}</span>}
      </p>
      <p className="font-mono text-[0.92rem] break-words">{message.title}</p>
      {message.details.length > 0 && (
        <p className="font-mono text-sm whitespace-pre-wrap">{message.details.join("\n")}</p>
      )}
      {message.says && <p>{message.says}</p>}
      {message.usually && <p>{message.usually}</p>}
      {message.unsaid && (
        <p className="note-small">
          <strong>What it does not say:</strong> {message.unsaid}
        </p>
      )}
      {message.misleads && (
        <p className="note-small">
          <strong>Known to mislead:</strong> {message.misleads}
        </p>
      )}
      {!message.says && message.severity !== "note" && (
        <p className="note-small">What this one means is not in our list yet.</p>
      )}
      {main &&
        (message.words.length > 0 ||
          message.at ||
          message.before ||
          message.chain.length > 1 ||
          message.folded > 0) && <Parts message={message} first={first} />}
      <Remarks remarks={remarks} first={first} />
      {message.cut && <p className="note-small">The paste breaks off here.</p>}
      {!main && message.why && <p className="note-small">{message.why}</p>}
      {main && <p className="note-small">{message.tool}</p>}
    </article>
  );
}

function Parts({ message, first }: { message: MessageView; first: number }) {
  const line = (number: number) => (
    <a className="link" href={`#line-${number}`}>
      line {number + first - 1}
    </a>
  );
  return (
    <dl className="grid grid-cols-[auto_minmax(0,1fr)] gap-x-3 text-sm">
      {message.words.map((word) => (
        <div key={word.role + word.text} className="contents">
          <dt className="text-graphite">{roleWords[word.role]}</dt>
          <dd className="font-mono break-words">{word.text}</dd>
        </div>
      ))}
      {message.at && (
        <div className="contents">
          <dt className="text-graphite">at the arrow</dt>
          <dd>
            <span className="font-mono">{message.at.text}</span>
          </dd>
        </div>
      )}
      {message.before && (
        <div className="contents">
          <dt className="text-graphite">just before it</dt>
          <dd>
            <span className="font-mono">{message.before.text}</span>
            {message.before.line !== message.line && <> in {line(message.before.line)}</>}
          </dd>
        </div>
      )}
      {message.chain.length > 1 &&
        message.chain.map((link, index) => (
          <div key={`${index}${link.name}`} className="contents">
            <dt className="text-graphite">{link.role}</dt>
            <dd>
              {link.line === null ? "a place without a line" : line(link.line)}{" "}
              {link.name && <span className="font-mono">{link.name}</span>}
            </dd>
          </div>
        ))}
      {message.folded > 0 && (
        <div className="contents">
          <dt className="text-graphite">folded</dt>
          <dd>{message.folded} calls of libraries</dd>
        </div>
      )}
    </dl>
  );
}

const decisionWords = { mend: "to be mended", accept: "accepted", hide: "hidden here" } as const;

function Warning({
  warning,
  remarks,
  first,
  id,
}: {
  warning: MessageView;
  remarks?: readonly MessageView[];
  first: number;
  id: string;
}) {
  const fetcher = useFetcher<Reply>();
  const decided = warning.decision;
  return (
    <article id={id} tabIndex={-1} className="grid gap-1 border-l-4 border-dashed border-rule-strong pl-3">
      <p className="note-small flex flex-wrap gap-x-3">
        <Place message={warning} first={first} />
        {warning.kind && <span>{warning.kind}</span>}
        {decided && (
          <strong className="text-ink">
            {decisionWords[decided.decision]}
            {decided.note && `: ${decided.note}`}
          </strong>
        )}
      </p>
      {decided?.decision !== "hide" && (
        <>
          <p className="font-mono text-sm break-words">{warning.title}</p>
          <Remarks remarks={remarks} first={first} />
          {warning.says && <p>{warning.says}</p>}
          {warning.usually && (
            <p className="note-small">
              <strong>Risk:</strong> {warning.usually}
            </p>
          )}
        </>
      )}
      <fetcher.Form method="post" className="flex flex-wrap items-center gap-2">
        <input type="hidden" name="intent" value="warning" />
        <Revision />
        <input type="hidden" name="about" value={warning.about} />
        <input
          name="note"
          className="field w-44 text-sm"
          aria-label="Note on this warning"
          placeholder="a note"
          defaultValue={decided?.note ?? ""}
          key={decided?.note ?? ""}
        />
        {(["mend", "accept", "hide"] as const).map((each) => (
          <button
            key={each}
            type="submit"
            name="decision"
            value={each}
            aria-pressed={decided?.decision === each}
            className="press press-quiet text-sm"
          >
            {{ mend: "To mend", accept: "Accept", hide: "Hide here" }[each]}
          </button>
        ))}
        {decided && (
          <button type="submit" name="decision" value="open" className="press press-quiet text-sm">
            Take back
          </button>
        )}
      </fetcher.Form>
    </article>
  );
}

/** The same few steps for every message, for whoever is at a loss before it. */
function Checklist() {
  return (
    <details>
      <summary className="cursor-pointer font-semibold text-steel-deep">At a loss before a message?</summary>
      <ol className="ml-6 list-decimal">
        <li>Breathe. Read all of it, to its end.</li>
        <li>Had the program started? Then it is no syntax error.</li>
        <li>Go to the line that it names.</li>
        <li>For a syntax error look at what stands just before it, then upwards, past blank lines and comments.</li>
        <li>Work on one message only. Then run it again.</li>
      </ol>
    </details>
  );
}
