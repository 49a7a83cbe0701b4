import { useEffect, useRef, useState } from "react";
import { useFetcher } from "react-router";
import type { FaultClass } from "../../core/verdict/verdict.ts";
import type { Reply } from "../actions.ts";
import { ClassMark } from "../components/marks.tsx";
import { Said } from "../components/Said.tsx";
import type { CaseView } from "./caseView.ts";
import { Revision } from "./Revision.tsx";

/** What else judging may come to, in words. */
export const otherOutcomes = { "no fault": "no fault", "stops on purpose": "it stops on purpose" } as const;
type Choice = FaultClass | keyof typeof otherOutcomes;
const choices: readonly Choice[] = ["syntax", "runtime", "logic", "no fault", "stops on purpose"];
const kinds = {
  form: "form: the text breaks the grammar",
  meaning: "meaning: a name or a type is refused",
} as const;

/** The class chosen by hand, with a reason where it is another one than the evidence suggests. */
export function VerdictForm({ view, changing, onDone }: { view: CaseView; changing: boolean; onDone: () => void }) {
  const fetcher = useFetcher<Reply>();
  const form = useRef<HTMLFormElement>(null);
  // Whoever asked for it by a key goes on by keys.
  useEffect(() => {
    const radio = (which: string) => form.current?.querySelector<HTMLInputElement>(`input[type=radio]${which}`);
    if (changing) (radio(":checked") ?? radio(""))?.focus();
  }, [changing]);
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
  const kept = fetcher.state === "idle" && fetcher.data?.ok === true;
  useEffect(() => {
    if (kept) onDone();
  }, [kept, onDone]);
  return (
    <fetcher.Form ref={form} method="post" className="grid content-start gap-2 border-l border-rule pl-4">
      <input type="hidden" name="intent" value="decide" />
      <Revision />
      <fieldset>
        <legend>
          {decided ? "Your verdict" : suggested ? "Suggested verdict" : "Your verdict"}
          {view.layers.length > 1 && view.openLayer ? `, layer ${view.openLayer.position}` : ""}
        </legend>
        <div className="mt-1 flex flex-wrap gap-2">
          {choices.map((each) => (
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
              {each === "no fault" || each === "stops on purpose" ? (
                otherOutcomes[each]
              ) : (
                <ClassMark of={each} kind={each === suggested ? view.verdict.kind : null} />
              )}
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
        {changing && (
          <button type="button" className="press press-quiet" onClick={onDone}>
            Leave it as it was
          </button>
        )}
      </div>
      {fetcher.data?.ok === false && <Said reply={fetcher.data} />}
    </fetcher.Form>
  );
}
