import { proposeFor } from "../../core/fixes/proposal.ts";
import type { CaseView } from "./caseView.ts";
import type { SearchView } from "./searchView.ts";
import { leadsWith } from "./useSearch.ts";

/** What is proposed for the fault that a page shows; null where a teacher has decided already, or no fault shows. */
export function proposalOf(view: CaseView, found: SearchView | null) {
  if (view.openLayer?.decided || view.isMended) return null;
  const search = found?.search && !found.search.outOfDate ? found.search : null;
  const proposed = proposeFor({
    ...{ class: view.verdict.class, kind: view.verdict.kind, fixes: search?.fixes ?? [] },
    suspected: leadsWith(view, found).flatMap((lead) => (lead.file === null ? [lead.line] : [])),
    marked: view.openLayer?.faultyLines ?? [],
  });
  return (
    proposed && {
      ...proposed,
      tried: search?.tried ?? 0,
      looks: search ? search.state === "waiting" : view.mayBeMended,
    }
  );
}
export type Proposal = NonNullable<ReturnType<typeof proposalOf>>;
