import { useState } from "react";
import type { FetcherWithComponents } from "react-router";
import { findHunks } from "../../core/fixes/hunks.ts";
import type { Reply } from "../actions.ts";
import { CourseSays } from "../components/CourseSays.tsx";
import { FixSlip } from "../components/FixSlip.tsx";
import { ProgramEditor } from "../components/ProgramEditor.tsx";
import { Said, settled } from "../components/Said.tsx";
import type { CaseView } from "./caseView.ts";
import { FoundFixes } from "./FoundFixes.tsx";
import { KeptFixes } from "./KeptFixes.tsx";
import { Revision } from "./Revision.tsx";
import type { SearchView } from "./searchView.ts";

/**
 * A copy of the program to be mended; what is kept of it is the changed lines. `fetcher` is the page's, so that its
 * answer stays when a new version takes this one's place.
 */
export function MendLeaf({
  view,
  fetcher,
  found,
}: {
  view: CaseView;
  fetcher: FetcherWithComponents<Reply>;
  found: SearchView | null;
}) {
  const draftPlace = `bent-nail mend ${view.key} ${view.versionNumber}`;
  const [start, setStart] = useState(() =>
    typeof localStorage === "undefined" ? view.text : (localStorage.getItem(draftPlace) ?? view.text),
  );
  const [text, setText] = useState(start);
  const isDraft = start !== view.text;
  const forgetDraft = () => {
    localStorage.removeItem(draftPlace);
    setStart(view.text);
    setText(view.text);
  };
  const hunks = findHunks(view.text, text);
  const change = (next: string) => {
    setText(next);
    localStorage.setItem(draftPlace, next);
  };
  return (
    <>
      <CourseSays at="mending" />
      <KeptFixes kept={found?.kept ?? []} />
      <FoundFixes view={view} search={found?.search ?? null} kept={found?.kept ?? []} taking={fetcher} />
      <fetcher.Form method="post" className="grid gap-3">
        <input type="hidden" name="intent" value="mend" />
        <Revision />
        <p className="note-small">
          Edit a copy. Make the smallest change that mends one fault, then run it again; what the next run shows is the
          next layer.
        </p>
        {isDraft && (
          <p className="flex items-baseline gap-3 border-l-4 border-ochre bg-slip px-3 py-1" role="status">
            This is a draft of yours that was not run yet.
            <button type="button" className="press press-quiet text-sm" onClick={forgetDraft}>
              Start from the version as it is
            </button>
          </p>
        )}
        <ProgramEditor
          key={isDraft ? "draft" : "version"}
          name="text"
          initial={start}
          label="Copy of the program"
          language={view.languageId}
          onChange={change}
        />
        <label className="text-sm">
          What you believe is wrong (kept with the try)
          <input name="belief" className="field" />
        </label>
        <div className="flex flex-wrap items-center gap-3">
          <button type="submit" className="press press-main" disabled={fetcher.state !== "idle"}>
            {fetcher.state === "idle" ? "Run again" : "Running the checks…"}
          </button>
          {fetcher.data?.intent === "mend" && !fetcher.data.ok && fetcher.data.more === "keep" && (
            <button type="submit" name="force" value="yes" className="press">
              Keep as one mended fault
            </button>
          )}
        </div>
        <Said reply={settled(fetcher)} />
        {hunks.length > 0 && (
          <div>
            <h2 className="text-base">The fix so far: {hunks.length === 1 ? "one place" : `${hunks.length} places`}</h2>
            <FixSlip hunks={hunks} />
          </div>
        )}
      </fetcher.Form>
    </>
  );
}
