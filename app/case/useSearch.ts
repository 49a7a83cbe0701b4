import { useEffect, useRef } from "react";
import { useFetcher } from "react-router";
import { withFixes } from "../../core/leads/fixFound.ts";
import type { Reply } from "../actions.ts";
import { useAsked } from "../components/useAsked.ts";
import type { CaseView } from "./caseView.ts";
import type { SearchView } from "./searchView.ts";

/**
 * What was found for the version that a page shows; it is looked for as soon as somebody sees the case, and asked for again
 * while that goes on. Null until it is known.
 */
export function useSearch(view: CaseView): SearchView | null {
  const looking = useFetcher<Reply>();
  const begun = useRef("");
  const isBegun = begun.current === view.version;
  // Asked for anew when the case was changed: the fix may be taken, or its checks others.
  const told = useAsked<SearchView>(
    view.mayBeMended ? `/cases/${view.key}/search?revision=${view.revision}` : null,
    (now) => now?.search?.state === "waiting" || (isBegun && now?.search === null),
  );
  // What was asked for before the version changed is about another text.
  const known = told?.version === view.version ? told : null;
  const { submit } = looking;
  useEffect(() => {
    if (known === null || known.search !== null || begun.current === view.version) return;
    begun.current = view.version;
    void submit({ intent: "look", revision: view.revision }, { method: "post" });
  }, [view.revision, view.version, known, submit]);
  return known;
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
