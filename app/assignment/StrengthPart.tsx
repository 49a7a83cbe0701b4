import { useFetcher } from "react-router";
import type { Reply } from "../actions.ts";
import { Said, settled } from "../components/Said.tsx";
import { useReadAgainWhile } from "../components/useReadAgainWhile.ts";
import type { AssignmentView } from "./assignmentView.ts";
import { Revision } from "./Revision.tsx";

/** How strong the checks are: which small changes of the model no check notices, and the inputs that would. */
export function StrengthPart({ view }: { view: AssignmentView }) {
  const fetcher = useFetcher<Reply>();
  const { strength } = view;
  const measures = strength?.state === "waiting";
  useReadAgainWhile(measures);
  const result = strength?.result;
  const busy = fetcher.state !== "idle";
  const press = (intent: string, words: string, main = false) => (
    <fetcher.Form method="post">
      <Revision />
      <button
        type="submit"
        name="intent"
        value={intent}
        className={main ? "press press-main" : "press"}
        disabled={busy}
      >
        {words}
      </button>
    </fetcher.Form>
  );
  if (view.checks.length === 0 || view.models.length === 0) return null;
  return (
    <section className="grid gap-3" aria-label="Strength of the checks">
      <header className="flex flex-wrap items-baseline gap-3">
        <h2 className="mr-auto">How strong are these checks?</h2>
        {measures ? press("stop measuring", "Stop") : press("measure", result ? "Measure again" : "Measure")}
      </header>
      <p className="note-small" role="status">
        {!strength &&
          "Small changes are made of the model, as students make slips; a strong set of checks notices each of them."}
        {measures && `Measuring: ${strength.tried} of ${strength.of || "some"} small changes tried.`}
        {strength?.state === "stopped" && "Stopped before its end. "}
        {result?.notMeasured}
        {strength?.outOfDate && !measures && "The checks or the model were changed since: measure again."}
      </p>
      <Said reply={settled(fetcher)} />
      {result && !result.notMeasured && !measures && (
        <div className="leaf grid gap-2 p-3">
          <p>
            <strong>
              {result.noticed} of {result.killable}
            </strong>{" "}
            small changes of the model are noticed by a check
            {result.killable > 0 && `, ${Math.round((100 * result.noticed) / result.killable)} in 100`}.
            {result.alike.length > 0 &&
              ` ${result.alike.length} more are told apart by none of ${result.inputs} inputs, so they may mean the same.`}
          </p>
          {result.unnoticed.length > 0 && (
            <>
              <h3 className="text-base">Nothing here notices</h3>
              <ul className="grid max-h-96 gap-2 overflow-auto" tabIndex={0}>
                {result.unnoticed.map((each) => (
                  <li key={each.says} className="grid grid-cols-[1fr_auto] gap-3 border-t border-rule pt-1">
                    <span>{each.says}</span>
                    <span>
                      <span className="note-small">this would: </span>
                      <code className="text-sm whitespace-pre-wrap">
                        {each.input.trimEnd().split("\n").join(" ⏎ ")}
                      </code>
                    </span>
                  </li>
                ))}
              </ul>
              {result.missing.length > 0 &&
                !strength?.outOfDate &&
                press(
                  "add missing",
                  result.missing.length === 1
                    ? "Add the check that is missing"
                    : `Add the ${result.missing.length} checks that are missing`,
                  true,
                )}
            </>
          )}
        </div>
      )}
    </section>
  );
}
