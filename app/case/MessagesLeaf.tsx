import { useContext, useState } from "react";
import { Link } from "react-router";
import { CourseSays } from "../components/CourseSays.tsx";
import { WordingContext } from "../components/marks.tsx";
import { AdviceForm } from "./AdviceForm.tsx";
import { Compared } from "./ComparedOutputs.tsx";
import type { CaseView } from "./caseView.ts";
import { useLeafAddress } from "./leafAddress.ts";
import { Message, Warning } from "./MessageParts.tsx";
import type { MessageView, SourceView } from "./messagesView.ts";
import { OtherWays } from "./OtherWays.tsx";

/** Every message of the current version taken apart, the one to work on first. */
export function MessagesLeaf({ view }: { view: CaseView }) {
  const leafAddress = useLeafAddress();
  if (view.messages.length === 0)
    return (
      <div className="grid gap-2">
        <p>No tool said anything about this version, neither in what was pasted nor in the run here.</p>
        <p className="note-small">
          Silence is no proof. A name that is misspelt everywhere, a slip inside quotes and a wrong formula give no
          message.
        </p>
        <OtherWays view={view} />
      </div>
    );
  return (
    <div className="grid gap-5">
      <p className="note-small">
        {view.depth === "full"
          ? "All that is known of each message."
          : "Each message in a sentence, with where it usually comes from."}{" "}
        <Link
          className="link"
          preventScrollReset
          to={`${leafAddress("messages")}&depth=${view.depth === "full" ? "short" : "full"}`}
        >
          {view.depth === "full" ? "Say less" : "Say all of it"}
        </Link>
      </p>
      <CourseSays at="messages" />
      <Compared sources={view.messages} first={view.firstLine} />
      {view.messages.map((source, index) => (
        <Source key={`${index}${source.title}`} source={source} number={index} first={view.firstLine} />
      ))}
      <OtherWays view={view} />
      <AdviceForm key={view.revision} layer={view.openLayer ?? view.layers.at(-1) ?? null} />
      <Checklist />
    </div>
  );
}

function Source({ source, number, first }: { source: SourceView; number: number; first: number }) {
  const wanted = useContext(WordingContext).chosen?.choices.messages;
  const [onlyFirst, setOnlyFirst] = useState(wanted === "one" || source.messages.length > 6);
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
        <pre className="border border-rule bg-sheet p-2 text-sm wrap-anywhere whitespace-pre-wrap">{source.text}</pre>
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
