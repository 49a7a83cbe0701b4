import { type FetcherWithComponents, Link } from "react-router";
import type { Reply } from "../actions.ts";
import { ClassMark, StraightNail, useClassWords, useCourseWords } from "../components/marks.tsx";
import type { CaseView } from "./caseView.ts";
import { useLeafAddress } from "./leafAddress.ts";
import type { Proposal } from "./proposal.ts";
import { Revision } from "./Revision.tsx";
import { otherOutcomes, VerdictForm } from "./VerdictForm.tsx";

const questions = ["Does it start?", "Does it finish?", "Is the result as intended?"] as const;
const answers = (passes: boolean | null) => (passes === null ? "open" : passes ? "yes" : "no");

/** What a translator says of a whole text; that it says nothing is no proof of anything. */
const stateSays = {
  errors: "errors",
  "warnings only": "warnings only",
  clean: "nothing (which does not make it right)",
} as const;

/** The evidence in two short lines with all of it behind them, the proposal, and the teacher's decision. */
export function VerdictStrip({
  view,
  proposal,
  accepting,
  changing,
  onChange,
}: {
  view: CaseView;
  proposal: Proposal | null;
  accepting: FetcherWithComponents<Reply>;
  /** Whether the class is being chosen by hand. */
  changing: boolean;
  onChange: (changing: boolean) => void;
}) {
  const decided = view.openLayer?.decided ?? null;
  const inWords = useCourseWords();
  return (
    <section
      className="leaf grid gap-x-4 gap-y-2 px-3 py-2 lg:grid-cols-[minmax(0,1fr)_minmax(0,31rem)]"
      aria-label="Verdict"
    >
      <Evidence view={view} />
      {view.isMended ? (
        <p className="flex items-center gap-2 self-center text-lg font-semibold">
          {view.verified ? (
            <>
              <StraightNail /> Verified: all checks pass on version {view.versionNumber}.
            </>
          ) : view.wasVerified ? (
            "Was verified; the checks have changed since. See Checks."
          ) : (
            "Mended, but not verified: a check is open or fails."
          )}
        </p>
      ) : proposal && !changing ? (
        <ProposalPart view={view} proposal={proposal} accepting={accepting} onChange={() => onChange(true)} />
      ) : decided && !changing ? (
        <div className="grid content-start gap-2 border-l border-rule pl-4">
          <p className="flex flex-wrap items-center gap-2">
            <span className="note-small">
              Your verdict{view.layers.length > 1 && view.openLayer ? `, layer ${view.openLayer.position}` : ""},
              decided:
            </span>
            {decided.outcome === "fault" ? (
              <ClassMark of={decided.class} kind={decided.kind} />
            ) : (
              <strong>{otherOutcomes[decided.outcome]}</strong>
            )}
            {decided.suggested !== decided.class && (
              <span className="note-small">(evidence said {decided.suggested ?? "nothing"})</span>
            )}
          </p>
          {decided.reason && <p>{decided.reason}</p>}
          {view.secondOpinion && (
            <p className="note-small">
              <strong>Second opinion:</strong> {inWords(view.secondOpinion)}
            </p>
          )}
          <div>
            <button type="button" className="press" onClick={() => onChange(true)}>
              Another class <kbd>C</kbd>
            </button>
          </div>
        </div>
      ) : (
        <VerdictForm view={view} changing={changing} onDone={() => onChange(false)} />
      )}
    </section>
  );
}

/** Two short lines: the three gates, and what decides; all of the evidence behind them. */
function Evidence({ view }: { view: CaseView }) {
  const classWords = useClassWords();
  return (
    <div className="min-w-0">
      <p className="flex flex-wrap gap-x-5">
        {view.verdict.gates.map((gate) => (
          <span key={gate.gate}>
            <span className="note-small">{questions[gate.gate - 1]}</span> <strong>{answers(gate.passes)}</strong>
          </span>
        ))}
      </p>
      <p>
        {view.verdict.because}
        {view.notRun && ` Nothing was run: ${view.notRun}.`}
      </p>
      {(view.intent || view.instead) && (
        <p className="note-small line-clamp-2">
          {view.intent && `What it is for: ${view.intent} `}
          {view.instead && `What it did instead: ${view.instead}`}
        </p>
      )}
      <details>
        <summary className="cursor-pointer text-sm font-semibold text-steel-deep">All of the evidence</summary>
        {view.textState && (
          <p>
            <span className="note-small">The translator says</span> <strong>{stateSays[view.textState]}</strong>
          </p>
        )}
        <ul className="list-none">
          {view.verdict.reasons.map((reason) => (
            <li key={reason}>{reason}</li>
          ))}
        </ul>
        {view.verdict.meaning && <p className="note-small">What the message means: {view.verdict.meaning}</p>}
        {view.verdict.otherClasses.length > 0 && (
          <p className="note-small">
            Other checks show: {view.verdict.otherClasses.map((each) => classWords(each)).join(", ")}.
          </p>
        )}
      </details>
    </div>
  );
}

const fixSays = {
  repairs: "repairs",
  open: "passes; not enough to say that it repairs",
  hides: "hides the fault",
} as const;

/** Class, line and fix as proposed; one press accepts all of it. */
function ProposalPart({
  view,
  proposal,
  accepting,
  onChange,
}: {
  view: CaseView;
  proposal: Proposal;
  accepting: FetcherWithComponents<Reply>;
  onChange: () => void;
}) {
  const { fix, lines } = proposal;
  const leafAddress = useLeafAddress();
  const numbers = lines.map((line) => line + view.firstLine - 1);
  const layer = view.layers.length > 1 && view.openLayer ? `, layer ${view.openLayer.position}` : "";
  return (
    <section className="grid content-start gap-1 border-l border-rule pl-4" aria-label="Proposal">
      <p className="flex flex-wrap items-center gap-x-3">
        <span className="note-small">Proposed{layer}</span>
        <ClassMark of={proposal.class} kind={proposal.kind} />
        {numbers.length > 0 && (
          <strong>{numbers.length === 1 ? `line ${numbers[0]}` : `lines ${numbers.join(", ")}`}</strong>
        )}
      </p>
      <p role="status">
        {fix ? (
          <>
            {fix.why}{" "}
            <span className="note-small">
              {fix.checks.passed} of {fix.checks.of} {fix.checks.of === 1 ? "check" : "checks"}, {proposal.tried} tried:{" "}
              {fixSays[fix.repairs]}.
            </span>
          </>
        ) : proposal.looks ? (
          <span className="note-small">A small change after which it passes is being looked for.</span>
        ) : (
          <span className="note-small">No change is proposed.</span>
        )}
      </p>
      <accepting.Form method="post" className="flex flex-wrap items-center gap-2">
        <Revision />
        <input type="hidden" name="class" value={proposal.class} />
        <input type="hidden" name="kind" value={proposal.kind ?? ""} />
        <input type="hidden" name="lines" value={JSON.stringify(lines)} />
        <input type="hidden" name="fix" value={fix?.text ?? ""} />
        <button
          type="submit"
          name="intent"
          value="accept"
          className="press press-main"
          disabled={accepting.state !== "idle"}
        >
          {fix ? "Accept all of it" : numbers.length > 0 ? "Accept class and line" : "Accept the class"} <kbd>A</kbd>
        </button>
        <button type="button" className="press" onClick={onChange}>
          Another class <kbd>C</kbd>
        </button>
        <Link className="press" to={leafAddress("mend")} preventScrollReset>
          {fix ? "Another fix" : "Write a fix"} <kbd>F</kbd>
        </Link>
      </accepting.Form>
    </section>
  );
}
