import type { WholeCase } from "../../server/cases/caseStore.ts";
import { openLayer } from "../../server/judge/decisions.ts";
import { foundFor } from "../../server/mend/findFixes.ts";
import { furtherFor } from "../../server/mend/furtherWork.ts";
import { keptFixesOf } from "../../server/mend/keptFixes.ts";
import type { Services } from "../../server/services.ts";

/**
 * What was found for the current version of a case, what further inputs showed of it, and the fixes that are kept. `acted`: the teacher has decided or marked a line, so that what is found
 * moves no line any more.
 */
export async function searchView(services: Services, found: WholeCase) {
  const open = openLayer(found);
  return {
    /** The version that it is about. */
    version: found.current_version,
    search: await foundFor(services, found),
    further: await furtherFor(services, found),
    kept: await keptFixesOf(services, found),
    acted: open !== null && (open.decided !== null || open.faulty_lines.length > 0),
  };
}
export type SearchView = Awaited<ReturnType<typeof searchView>>;
