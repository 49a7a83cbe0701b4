import { type FetcherWithComponents, useFetcher } from "react-router";
import type { Reply } from "../actions.ts";
import { FixSlip } from "../components/FixSlip.tsx";
import { Said, settled } from "../components/Said.tsx";
import type { CaseView } from "./caseView.ts";
import { Revision } from "./Revision.tsx";
import type { SearchView } from "./searchView.ts";

const says = {
  repairs: "Repairs",
  open: "Passes; not enough to say that it repairs",
  hides: "Hides the fault",
} as const;

/**
 * Small changes that were found for this version, best first, and how far the looking is. `taking` is the page's fetcher, so
 * that what is said of a change that was taken stays when the next version takes this one's place.
 */
export function FoundFixes({
  view,
  search,
  kept,
  taking,
}: {
  view: CaseView;
  search: SearchView["search"];
  kept: SearchView["kept"];
  taking: FetcherWithComponents<Reply>;
}) {
  const fetcher = useFetcher<Reply>();
  const looks = search?.state === "waiting";
  if (view.verdict.class === null && !search) return null;
  const fixes = search?.fixes ?? [];
  const press = (intent: string, words: string) => (
    <fetcher.Form method="post" className="inline">
      <Revision />
      <button type="submit" name="intent" value={intent} className="press press-quiet text-sm">
        {words}
      </button>
    </fetcher.Form>
  );
  return (
    <section aria-label="Small changes that were found" className="mb-4 border-b border-rule pb-4">
      <h2 className="text-base">Small changes that were found</h2>
      <p className="note-small flex flex-wrap items-baseline gap-x-3" role="status">
        {!search && "None was looked for yet."}
        {looks && `Looking: ${search.tried} changes tried so far, each by real runs.`}
        {search &&
          !looks &&
          (search.not_searched ??
            `${search.tried} changes were tried in ${search.seconds.toFixed(1)} s${search.state === "stopped" ? " before it was stopped" : ""}; ${fixes.length === 0 ? "none of them passes every check." : fixes.length === 1 ? "one of them passes every check." : `${fixes.length} of them pass every check.`}`)}
        {looks ? press("stop-search", "Stop") : press("search", search ? "Look again" : "Look for one")}
      </p>
      {search?.outOfDate && !looks && (
        <p className="border-l-4 border-ochre bg-slip px-3 py-1">
          The checks were changed since: these are out of date.
        </p>
      )}
      <ol className="mt-2 grid gap-3">
        {fixes.map((fix, at) => (
          <li key={fix.text} className="grid gap-1">
            <p>
              <strong>{says[fix.repairs]}.</strong> {fix.because}
            </p>
            <ul>
              {fix.steps.map((step) => (
                <li key={step}>{step}</li>
              ))}
            </ul>
            <FixSlip hunks={fix.hunks} />
            <taking.Form method="post">
              <Revision />
              <input type="hidden" name="number" value={at} />
              <button
                type="submit"
                name="intent"
                value="take-fix"
                className="press"
                disabled={taking.state !== "idle" || search?.outOfDate}
              >
                Take this change
              </button>
            </taking.Form>
            {(fixes.length > 1 || kept.length > 0) && (
              <fetcher.Form method="post" className="flex flex-wrap items-baseline gap-2">
                <Revision />
                <input type="hidden" name="number" value={at} />
                <label className="flex grow items-baseline gap-2 text-sm">
                  What it is meant for
                  <input name="intention" className="min-w-0 grow border border-rule-strong px-2 py-0.5" />
                </label>
                <button type="submit" name="intent" value="keep-fix" className="press press-quiet text-sm">
                  Keep it as acceptable
                </button>
              </fetcher.Form>
            )}
          </li>
        ))}
      </ol>
      {fixes.length === 0 && (search?.starts.length ?? 0) > 0 && (
        <>
          <h3 className="mt-2 text-sm">With these it starts</h3>
          <ol className="grid gap-3">
            {search?.starts.map((fix) => (
              <li key={fix.text}>
                <p>
                  Starts now; {fix.checks.passed} of {fix.checks.of} checks pass. {fix.why}
                </p>
                <FixSlip hunks={fix.hunks} />
              </li>
            ))}
          </ol>
        </>
      )}
      <Said reply={settled(fetcher)} />
    </section>
  );
}
