import { useFetcher } from "react-router";
import type { Reply } from "../actions.ts";
import type { MessageView } from "./messagesView.ts";
import { Revision } from "./Revision.tsx";

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

/** One message of a tool, taken apart. */
export function Message({
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
          <dd>
            {message.folded} {message.folded === 1 ? "call" : "calls"} of libraries
          </dd>
        </div>
      )}
    </dl>
  );
}

const decisionWords = { mend: "to be mended", accept: "accepted", hide: "hidden here" } as const;

/** A warning with what was decided about it. */
export function Warning({
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
