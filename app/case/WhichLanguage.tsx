import { useFetcher } from "react-router";
import type { Reply } from "../actions.ts";
import { Said } from "../components/Said.tsx";
import type { CaseView } from "./caseView.ts";
import { Revision } from "./Revision.tsx";

/** Asks once which language a case is in that was taken in when two of them were one here. */
export function WhichLanguage({ view }: { view: CaseView }) {
  const fetcher = useFetcher<Reply>();
  if (view.askedAs.length === 0) return null;
  return (
    <fetcher.Form method="post" className="mb-3 border border-rule-strong bg-slip px-3 py-2">
      <Revision />
      <input type="hidden" name="intent" value="say language" />
      <p>
        This case was taken in when macros and programs with forms were one language here. Which is it? Until it is said
        the program is read and not run.
      </p>
      <p className="mt-2 flex flex-wrap gap-3">
        {view.askedAs.map(({ id, name, likely }) => (
          <button key={id} className={likely ? "press press-main" : "press"} type="submit" name="language" value={id}>
            {name}
          </button>
        ))}
      </p>
      <Said reply={fetcher.data} />
    </fetcher.Form>
  );
}
