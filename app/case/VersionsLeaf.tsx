import { useFetcher } from "react-router";
import type { CaseReply } from "../routes/case.tsx";
import type { CaseView } from "./caseView.ts";
import { FixSlip } from "./LayerList.tsx";

/** All versions, tries that did not help among them; going back to one is one press. */
export function VersionsLeaf({ view }: { view: CaseView }) {
  const fetcher = useFetcher<CaseReply>();
  return (
    <>
      {fetcher.data && (
        <p role="status" className="mb-2 font-semibold">
          {fetcher.data.message}
        </p>
      )}
      <ol className="grid gap-3">
        {view.versions.map((version) => (
          <li key={version.key} className="grid gap-1 border-b border-rule pb-2">
            <div className="flex items-center gap-3">
              <strong>Version {version.number}</strong>
              <span className="note-small">
                {version.origin}
                {version.current ? ", current" : ""}
              </span>
              {!version.current && (
                <fetcher.Form method="post" className="ml-auto">
                  <input type="hidden" name="intent" value="back" />
                  <input type="hidden" name="revision" value={view.revision} />
                  <button className="press" name="key" value={version.key} type="submit">
                    Go back to this
                  </button>
                </fetcher.Form>
              )}
            </div>
            {version.changes.length > 0 && <FixSlip hunks={version.changes} />}
          </li>
        ))}
      </ol>
    </>
  );
}
