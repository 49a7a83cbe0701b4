import { useEffect, useRef } from "react";
import { useFetcher } from "react-router";
import { withFixes } from "../../core/leads/fixFound.ts";
import type { Reply } from "../actions.ts";
import type { CaseView } from "./caseView.ts";
import type { SearchView } from "./searchView.ts";

/** Milliseconds between two looks at how far it is. */
const between = 1000;

/**
 * What was found for the version that a page shows; it is looked for as soon as somebody sees the case, and asked for again
 * while that goes on. Null until it is known.
 */
export function useSearch(view: CaseView): SearchView | null {
  const asking = useFetcher<SearchView>();
  const looking = useFetcher<Reply>();
  const begun = useRef("");
  // Asked for anew when the case was changed: the fix may be taken, or its checks others.
  const place = `/cases/${view.key}/search?revision=${view.revision}`;
  const version = `${view.key} ${view.versionNumber}`;
  const { load } = asking;
  useEffect(() => {
    if (view.mayBeMended) void load(place);
  }, [load, place, view.mayBeMended]);
  const known = asking.data ?? null;
  const { submit } = looking;
  useEffect(() => {
    if (!view.mayBeMended || known === null || known.search !== null || begun.current === version) return;
    begun.current = version;
    void submit({ intent: "look", revision: view.revision }, { method: "post" });
  }, [view.mayBeMended, view.revision, known, version, submit]);
  const goesOn = known?.search?.state === "waiting" || (begun.current === version && known?.search === null);
  useEffect(() => {
    if (!goesOn) return;
    const clock = setInterval(() => void load(place), between);
    return () => clearInterval(clock);
  }, [goesOn, load, place]);
  return view.mayBeMended ? known : null;
}

/** The suspected lines with those of changes that were found before them, as long as nobody has acted. */
export function leadsWith(view: CaseView, found: SearchView | null): CaseView["verdict"]["leads"] {
  const { leads } = view.verdict;
  if (!found?.search || found.acted || found.search.outOfDate) return leads;
  const weighed = leads.map((lead, at) => ({
    line: lead.line,
    why: lead.why,
    weight: -at,
    ...(lead.file ? { file: lead.file } : {}),
  }));
  const merged = withFixes(
    weighed,
    found.search.fixes.map((fix) => ({ ...fix, why: "" })),
  );
  return merged.map(({ line, why, file }) => ({
    ...{ line, why, file: file ?? null },
    text: leads.find((lead) => lead.line === line && lead.file === (file ?? null))?.text ?? "",
  }));
}
