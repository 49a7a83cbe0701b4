import { useFetcher } from "react-router";
import type { Reply } from "../actions.ts";
import { FixSlip } from "../components/FixSlip.tsx";
import { Said, settled } from "../components/Said.tsx";
import { Revision } from "./Revision.tsx";
import type { SearchView } from "./searchView.ts";

/** The fixes that the teacher accepts for this version, each with what it is meant for; one is preferred. */
export function KeptFixes({ kept }: { kept: SearchView["kept"] }) {
  const fetcher = useFetcher<Reply>();
  if (kept.length === 0) return null;
  return (
    <section aria-label="Fixes that you accept" className="mb-4 border-b border-rule pb-4">
      <h2 className="text-base">Fixes that you accept</h2>
      <ul className="mt-2 grid gap-3">
        {kept.map((fix) => (
          <li key={fix.key} className="grid gap-1">
            <p>
              {fix.preferred && <strong>Preferred. </strong>}
              {fix.intention || "No intention is written with it."}
            </p>
            <FixSlip hunks={fix.hunks} />
            <fetcher.Form method="post" className="flex gap-2">
              <Revision />
              <input type="hidden" name="intent" value="kept-fix" />
              <input type="hidden" name="key" value={fix.key} />
              {!fix.preferred && (
                <button type="submit" name="what" value="prefer" className="press press-quiet text-sm">
                  Prefer this one
                </button>
              )}
              <button type="submit" name="what" value="leave" className="press press-quiet text-sm">
                Leave it out
              </button>
            </fetcher.Form>
          </li>
        ))}
      </ul>
      <Said reply={settled(fetcher)} />
    </section>
  );
}
