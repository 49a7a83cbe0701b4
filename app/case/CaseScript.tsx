import { useEffect, useState } from "react";
import { Link, useFetcher } from "react-router";
import type { Reply } from "../actions.ts";
import { Said, settled } from "../components/Said.tsx";
import { type LineNote, Script } from "../components/Script.tsx";
import type { CaseView } from "./caseView.ts";
import type { SearchView } from "./searchView.ts";
import { leadsWith } from "./useSearch.ts";

/** Suspected lines that have a note beside them before anybody asks for more. */
const mostNotes = 3;

/** The marked script of the current version; a press on a line marks it as faulty or takes the mark away. */
export function CaseScript({ view, found }: { view: CaseView; found: SearchView | null }) {
  const fetcher = useFetcher<Reply>();
  const leads = leadsWith(view, found);
  const fixes = found?.search?.fixes.length ?? 0;
  const kept = view.openLayer?.faultyLines ?? [];
  const sent = fetcher.formData?.get("lines");
  // A press while the one before is on its way waits for it: it would carry a revision that is not the newest any more.
  const [waiting, setWaiting] = useState<readonly number[] | null>(null);
  const faulty = new Set<number>(waiting ?? (typeof sent === "string" ? (JSON.parse(sent) as number[]) : kept));
  const canPick = view.verdict.class !== null || view.openLayer !== null;

  const pick = (line: number) => {
    const next = faulty.has(line)
      ? [...faulty].filter((each) => each !== line)
      : [...faulty, line].sort((one, other) => one - other);
    setWaiting(next);
  };
  useEffect(() => {
    if (waiting === null || fetcher.state !== "idle") return;
    const { revision } = view;
    void fetcher.submit({ intent: "faulty", lines: JSON.stringify(waiting), revision }, { method: "post" });
    setWaiting(null);
  }, [waiting, fetcher, view]);
  const [paired, setPaired] = useState(false);
  const [every, setEvery] = useState(false);
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
  const notes: LineNote[] = [
    ...(reported && view.verdict.message
      ? [{ line: reported, kind: "tool" as const, text: view.verdict.message, to: "?leaf=messages" }]
      : []),
    ...(every ? leads : leads.slice(0, mostNotes))
      .filter((lead) => lead.file === null && lead.why !== "The tool names this line.")
      .map((lead) => ({
        line: lead.line,
        kind: lead === leads[0] ? ("first lead" as const) : ("lead" as const),
        text: lead.why.replace("The tool names this line. ", ""),
      })),
    ...view.messages.flatMap((source) =>
      source.messages.flatMap((message) =>
        message.decision?.decision === "hide" && message.line !== null
          ? [
              {
                line: message.line,
                kind: "hidden" as const,
                text: message.decision.note || message.title,
                to: "?leaf=messages",
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
        onPick={canPick ? pick : undefined}
        pickHint="mark as the faulty line, or take the mark away"
      />
      <p className="flex flex-wrap items-baseline gap-x-4 px-3 pt-2">
        <button
          type="button"
          className="press press-quiet text-sm"
          aria-pressed={paired}
          onClick={() => setPaired(!paired)}
        >
          {paired ? "Notes and leads" : "Pairs and depth"}
        </button>
        {!paired && leads.length > mostNotes && (
          <button
            type="button"
            className="press press-quiet text-sm"
            aria-pressed={every}
            onClick={() => setEvery(!every)}
          >
            {every ? "The likeliest lines only" : `All ${leads.length} suspected lines`}
          </button>
        )}
        {paired && (
          <span className="note-small" role="status">
            {view.structure.unpaired === 0
              ? "Every bracket and block has its partner."
              : `${view.structure.unpaired} without a partner.`}{" "}
            Signs in texts and comments do not count.
          </span>
        )}
      </p>
      {found?.search?.state === "waiting" && (
        <p className="note-small px-3 pt-1" role="status">
          A small change after which it passes is being looked for.
        </p>
      )}
      {fixes > 0 && (
        <p className="note-small px-3 pt-1">
          <Link className="link" to="?leaf=mend" preventScrollReset>
            {fixes === 1 ? "A small change was found" : `${fixes} small changes were found`}
          </Link>
        </p>
      )}
      {canPick && (
        <p className="note-small px-3 pt-1">
          Press a line to mark it as faulty (arrow keys and Enter do the same). The faulty line is often not the one
          that the tool names.
        </p>
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
                <pre className="overflow-x-auto border border-rule px-2 text-sm">{lead.text}</pre>
              </li>
            ))}
          </ul>
        </section>
      )}
      <Said reply={settled(fetcher)} className="px-3" />
    </section>
  );
}
