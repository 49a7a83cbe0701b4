import { useState } from "react";
import { Link, useFetcher } from "react-router";
import type { Reply } from "../actions.ts";
import { Said, settled } from "../components/Said.tsx";
import { type LineNote, Script } from "../components/Script.tsx";
import { useSubmitInTurn } from "../components/useSubmitInTurn.ts";
import type { CaseView } from "./caseView.ts";
import { useLeafAddress } from "./leafAddress.ts";
import { proposalOf } from "./proposal.ts";
import type { SearchView } from "./searchView.ts";
import { leadsWith } from "./useSearch.ts";

/** The marked script of the current version; a press on a line marks it as faulty or takes the mark away. */
export function CaseScript({ view, found }: { view: CaseView; found: SearchView | null }) {
  const fetcher = useFetcher<Reply>();
  const leads = leadsWith(view, found);
  const proposal = proposalOf(view, found);
  const leafAddress = useLeafAddress();
  const kept = view.openLayer?.faultyLines ?? [];
  const sent = fetcher.formData?.get("lines");
  const { submit, waiting } = useSubmitInTurn(fetcher, view.revision);
  const wanted = waiting?.lines ?? sent;
  const faulty = new Set<number>(typeof wanted === "string" ? (JSON.parse(wanted) as number[]) : kept);
  const canPick = view.verdict.class !== null || view.openLayer !== null;

  const pick = (line: number) => {
    const next = faulty.has(line)
      ? [...faulty].filter((each) => each !== line)
      : [...faulty, line].sort((one, other) => one - other);
    submit({ intent: "faulty", lines: JSON.stringify(next) });
  };
  const [paired, setPaired] = useState(false);
  const pairs: LineNote[] = view.structure.lines.flatMap((line) => {
    const words = [
      ...line.unpaired.map((sign) => `${sign} has no partner`),
      ...line.closes,
      ...(view.structure.openTexts.includes(line.line) ? ["a quote is not closed"] : []),
    ];
    return words.length > 0 ? [{ line: line.line, kind: "structure" as const, text: words.join("; ") }] : [];
  });
  // Of another file than the one that is shown nothing is marked here; its leads are listed below.
  const reported = view.verdict.reportedFile ? null : view.verdict.reportedLine;
  const elsewhere = leads.filter((lead) => lead.file !== null);
  const here = leads.filter((lead) => lead.file === null);
  const named = canPick ? (here[0] ?? null) : null;
  const notes: LineNote[] = [
    ...view.messages.flatMap((source) =>
      source.messages.flatMap((message) =>
        message.decision?.decision === "hide" && message.line !== null
          ? [
              {
                line: message.line,
                kind: "hidden" as const,
                text: message.decision.note || message.title,
                to: leafAddress("messages"),
              },
            ]
          : [],
      ),
    ),
  ];
  return (
    <section className="leaf py-3" aria-label="The program">
      <Script
        lines={view.lines}
        firstNumber={view.firstLine}
        label={`Program ${view.fileName}, version ${view.versionNumber}`}
        notes={paired ? pairs : notes}
        depths={paired ? view.structure.lines.map((line) => line.depth) : undefined}
        faulty={faulty}
        reported={reported}
        styles={view.styles}
        named={named?.line ?? null}
        slip={paired ? [] : proposal?.fix?.hunks.filter((hunk) => hunk.file === undefined)}
        onPick={canPick ? pick : undefined}
        pickHint="mark as the faulty line, or take the mark away"
      />
      {named && <NamedLine view={view} named={named} others={here.slice(1)} reported={reported} />}
      <p className="flex flex-wrap items-baseline gap-x-4 px-3 pt-2">
        <button
          type="button"
          className="press press-quiet text-sm"
          aria-pressed={paired}
          onClick={() => setPaired(!paired)}
        >
          {paired ? "Notes and leads" : "Pairs and depth"}
        </button>
        <Link className="link text-sm" to={leafAddress("structure")} preventScrollReset>
          As the translator reads it
        </Link>
        {paired && (
          <span className="note-small" role="status">
            {view.structure.unpaired === 0
              ? "Every bracket and block has its partner."
              : `${view.structure.unpaired} without a partner.`}{" "}
            Signs in texts and comments do not count.
          </span>
        )}
      </p>
      {canPick && (
        <p className="note-small px-3 pt-1">Press a line to mark it as faulty (arrow keys and Enter do the same).</p>
      )}
      {elsewhere.length > 0 && (
        <section className="px-3 pt-2" aria-label="Suspected lines of other files">
          <h3 className="text-base">In other files</h3>
          <ul className="grid gap-1">
            {elsewhere.map((lead) => (
              <li key={`${lead.file} ${lead.line}`}>
                <p>
                  <strong>
                    {lead.file}, line {lead.line}:
                  </strong>{" "}
                  {lead.why}
                </p>
                <pre className="overflow-x-auto border border-rule px-2 text-sm" tabIndex={0}>
                  {lead.text}
                </pre>
              </li>
            ))}
          </ul>
        </section>
      )}
      <Said reply={settled(fetcher)} className="px-3" />
    </section>
  );
}

type ShownLead = CaseView["verdict"]["leads"][number];

/** The one line that is named, with its reason in a sentence, and the others folded behind their number. */
function NamedLine({
  view,
  named,
  others,
  reported,
}: {
  view: CaseView;
  named: ShownLead;
  others: readonly ShownLead[];
  reported: number | null;
}) {
  const leafAddress = useLeafAddress();
  const number = (line: number) => line + view.firstLine - 1;
  const [sentence = "", ...more] = (
    named.why.replace(/The tool names this line\.\s*/, "") || "This is where it was noticed."
  ).split(/(?<=[.!?]) (?=[A-Z“])/);
  return (
    <div className="mx-3 mt-2 grid gap-1 border-l-2 border-ink pl-3">
      <p>
        <strong>Look here first: line {number(named.line)}.</strong> {sentence}{" "}
        {more.length > 0 && (
          <details className="inline">
            <summary className="inline cursor-pointer font-semibold text-steel-deep">more</summary> {more.join(" ")}
          </details>
        )}
      </p>
      {reported !== null && view.verdict.message && (
        <p className="note-small">
          {reported === named.line ? "The tool names it" : `The tool names line ${number(reported)}`}:{" "}
          {view.verdict.message.split("\n")[0]}{" "}
          <Link className="link" to={leafAddress("messages")} preventScrollReset>
            taken apart
          </Link>
        </p>
      )}
      {others.length > 0 && (
        <details>
          <summary className="cursor-pointer text-sm font-semibold text-steel-deep">
            {others.length} more suspected {others.length === 1 ? "line" : "lines"}
          </summary>
          <ul className="grid gap-1 text-sm">
            {others.map((lead) => (
              <li key={lead.line}>
                <strong>Line {number(lead.line)}:</strong> {lead.why}
              </li>
            ))}
          </ul>
        </details>
      )}
    </div>
  );
}
