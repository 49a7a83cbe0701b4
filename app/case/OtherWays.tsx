import { useFetcher } from "react-router";
import type { Reply } from "../actions.ts";
import { Said, settled } from "../components/Said.tsx";
import type { CaseView } from "./caseView.ts";
import { Revision } from "./Revision.tsx";

/** The same text by other options, or by another translator that is installed here: what it says is kept beside the others. */
export function OtherWays({ view }: { view: CaseView }) {
  const fetcher = useFetcher<Reply>();
  if (view.otherWays.length === 0) return null;
  return (
    <fetcher.Form method="post" className="flex flex-wrap items-end gap-2" aria-label="Translate it in another way">
      <input type="hidden" name="intent" value="otherwise" />
      <Revision />
      <label>
        Translate this version by
        <select name="way" className="field">
          {view.otherWays.map((way) => (
            <option key={way.id} value={way.id}>
              {way.words}
            </option>
          ))}
        </select>
      </label>
      <button className="press" type="submit" disabled={fetcher.state !== "idle"}>
        {fetcher.state === "idle" ? "See what it says" : "Translating…"}
      </button>
      <Said reply={settled(fetcher)} />
    </fetcher.Form>
  );
}
