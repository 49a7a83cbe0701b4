import type { WholeCase } from "../../server/cases/caseStore.ts";
import { suggestedFor } from "../../server/cases/findingStore.ts";
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
  const search = await foundFor(services, found);
  return {
    /** The version that it is about. */
    version: found.current_version,
    search,
    /** The kinds of mistake by what was found; null while that is looked for. */
    patterns:
      search?.state === "done" && (open === null || open.version_before === found.current_version)
        ? await suggestedFor(services.database.query, found.current_version)
        : null,
    further: await furtherFor(services, found),
    kept: await keptFixesOf(services, found),
    acted: open !== null && (open.decided !== null || open.faulty_lines.length > 0),
  };
}
export type SearchView = Awaited<ReturnType<typeof searchView>>;
