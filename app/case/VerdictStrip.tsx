import { useState } from "react";
import { useFetcher } from "react-router";
import type { FaultClass } from "../../core/verdict/verdict.ts";
import type { Reply } from "../actions.ts";
import { ClassMark, StraightNail, useClassWords } from "../components/marks.tsx";
import { Said } from "../components/Said.tsx";
import type { CaseView } from "./caseView.ts";
import { Revision } from "./Revision.tsx";

const questions = ["Does it start?", "Does it finish?", "Is the result as intended?"] as const;
const answers = (passes: boolean | null) => (passes === null ? "open" : passes ? "yes" : "no");
const classes: readonly FaultClass[] = ["syntax", "runtime", "logic"];
/** What else judging may come to, in words. */
const otherOutcomes = { "no fault": "no fault", "stops on purpose": "it stops on purpose" } as const;
type Choice = FaultClass | keyof typeof otherOutcomes;
const kinds = {
  form: "form: the text breaks the grammar",
  meaning: "meaning: a name or a type is refused",
} as const;

/** What a translator says of a whole text; that it says nothing is no proof of anything. */
const stateSays = {
  errors: "errors",
  "warnings only": "warnings only",
  clean: "nothing (which does not make it right)",
} as const;

/** The three gates with their evidence, the suggested class, and the teacher's decision. */
export function VerdictStrip({ view }: { view: CaseView }) {
  const fetcher = useFetcher<Reply>();
  const classWords = useClassWords();
  const suggested = view.verdict.class;
  const decided = view.openLayer?.decided ?? null;
  const was = decided ? (decided.outcome === "fault" ? decided.class : decided.outcome) : suggested;
  const [chosen, setChosen] = useState<Choice | null>(was);
  const overrules =
    chosen !== null &&
    (chosen === "stops on purpose"
      ? suggested === "syntax"
      : chosen === "no fault"
        ? suggested !== null
        : chosen !== suggested);
  const finished = view.openLayer === null && view.layers.length > 0;

  return (
    <section className="leaf grid gap-4 p-3 lg:grid-cols-[minmax(0,1fr)_minmax(0,31rem)]" aria-label="Verdict">
      <div>
        <ol className="flex flex-wrap gap-x-8 gap-y-1">
          {view.verdict.gates.map((gate) => (
            <li key={gate.gate}>
              <span className="note-small">{questions[gate.gate - 1]}</span> <strong>{answers(gate.passes)}</strong>
            </li>
          ))}
          {view.textState && (
            <li>
              <span className="note-small">The translator says</span> <strong>{stateSays[view.textState]}</strong>
            </li>
          )}
        </ol>
        <ul className="mt-1 list-none">
          {view.verdict.reasons.map((reason) => (
            <li key={reason}>{reason}</li>
          ))}
          {view.notRun && <li>Nothing was run: {view.notRun}.</li>}
        </ul>
        {view.verdict.meaning && <p className="note-small mt-1">What the message means: {view.verdict.meaning}</p>}
        {view.verdict.otherClasses.length > 0 && (
          <p className="note-small mt-1">
            Other checks show: {view.verdict.otherClasses.map((each) => classWords(each)).join(", ")}.
          </p>
        )}
      </div>
      {finished ? (
        <p className="flex items-center gap-2 self-center text-lg font-semibold">
          {view.verified ? (
            <>
              <StraightNail /> Verified: all checks pass on version {view.versionNumber}.
            </>
          ) : view.wasVerified ? (
            "Was verified; the checks have changed since. See Runs and checks."
          ) : (
            "Mended, but not verified: a check is open or fails."
          )}
        </p>
      ) : (
        <fetcher.Form method="post" className="grid content-start gap-2 border-l border-rule pl-4">
          <input type="hidden" name="intent" value="decide" />
          <Revision />
          <fieldset>
            <legend>
              {decided ? "Your verdict" : suggested ? "Suggested verdict" : "Your verdict"}
              {view.layers.length > 1 && view.openLayer ? `, layer ${view.openLayer.position}` : ""}
            </legend>
            <div className="mt-1 flex flex-wrap gap-2">
              {classes.map((each) => (
                <label
                  key={each}
                  className={`flex cursor-pointer items-center gap-2 rounded-[3px] border px-2 py-1 ${chosen === each ? "border-ink bg-slip" : "border-rule-strong"}`}
                >
                  <input
                    type="radio"
                    name="class"
                    value={each}
                    checked={chosen === each}
                    onChange={() => setChosen(each)}
                  />
                  <ClassMark of={each} kind={each === suggested ? view.verdict.kind : null} />
                </label>
              ))}
              {Object.entries(otherOutcomes).map(([each, words]) => (
                <label
                  key={each}
                  className={`flex cursor-pointer items-center gap-2 rounded-[3px] border px-2 py-1 ${chosen === each ? "border-ink bg-slip" : "border-rule-strong"}`}
                >
                  <input
                    type="radio"
                    name="class"
                    value={each}
                    checked={chosen === each}
                    onChange={() => setChosen(each as Choice)}
                  />
                  {words}
                </label>
              ))}
            </div>
          </fieldset>
          {chosen === "syntax" && (
            <label className="flex items-center gap-2">
              Kind
              <select name="kind" className="field w-auto" defaultValue={decided?.kind ?? view.verdict.kind ?? "form"}>
                {Object.entries(kinds).map(([kind, words]) => (
                  <option key={kind} value={kind}>
                    {words}
                  </option>
                ))}
              </select>
            </label>
          )}
          {(overrules || decided?.reason) && (
            <div>
              <label htmlFor="reason">{overrules ? "Why you decide otherwise" : "Reason"}</label>
              <input
                id="reason"
                name="reason"
                className="field"
                defaultValue={decided?.reason ?? ""}
                required={overrules}
              />
            </div>
          )}
          <div className="flex items-center gap-3">
            <button type="submit" className="press press-main" disabled={chosen === null || fetcher.state !== "idle"}>
              {decided ? "Change the verdict" : overrules ? "Overrule" : "Confirm"}
            </button>
            {decided && (
              <span className="note-small flex items-center gap-1">
                decided:{" "}
                {decided.outcome === "fault" ? (
                  <ClassMark of={decided.class} kind={decided.kind} />
                ) : (
                  <strong>{otherOutcomes[decided.outcome]}</strong>
                )}
                {decided.suggested !== decided.class && ` (evidence said ${decided.suggested ?? "nothing"})`}
              </span>
            )}
          </div>
          {fetcher.data?.ok === false && <Said reply={fetcher.data} />}
        </fetcher.Form>
      )}
    </section>
  );
}
