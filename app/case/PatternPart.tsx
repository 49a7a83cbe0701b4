import { Link, useFetcher } from "react-router";
import type { Reply } from "../actions.ts";
import { Said, settled } from "../components/Said.tsx";
import type { CaseView } from "./caseView.ts";
import { Revision } from "./Revision.tsx";
import type { SearchView } from "./searchView.ts";

/** The address of a kind of mistake, also of one of the teacher's own. */
export const patternAddress = (id: string) => `/patterns/${id}`;

/**
 * Which kind of mistake it is: what the evidence suggests, with why, until a teacher says so or says another. It can be said of a fault that is mended
 * as well (`layer`).
 */
export function PatternPart({ view, found }: { view: CaseView; found: SearchView | null }) {
  const fetcher = useFetcher<Reply>();
  const suggested = found?.patterns ?? view.patterns.suggested;
  const layer = view.patterns.layer;
  const own = view.patterns.own;
  const chosen = fetcher.formData?.get("pattern")?.toString() ?? own ?? "";
  const [first] = suggested;
  const shown = chosen || first?.id || "";
  const all = useFetcher<{ choices: Array<{ id: string; name: string; own: boolean }> }>();
  // The whole list comes once somebody is about to choose.
  const choices = all.data?.choices ?? [];
  const nameOf = (id: string) =>
    [...suggested, ...choices].find((each) => each.id === id)?.name ??
    (id === own ? view.patterns.ownName : null) ??
    id;
  return (
    <fetcher.Form
      method="post"
      className="grid gap-1"
      aria-label="Which kind of mistake it is"
      onChange={(event) => void fetcher.submit(event.currentTarget)}
    >
      <input type="hidden" name="intent" value="pattern" />
      <Revision />
      <input type="hidden" name="layer" value={layer ?? ""} />
      <div className="flex flex-wrap items-baseline gap-x-3 gap-y-1 text-sm">
        <label className="flex items-baseline gap-1.5">
          <span className="note-small">Kind of mistake</span>
          <select
            name="pattern"
            className="field w-auto max-w-80"
            value={chosen}
            onChange={() => undefined}
            onFocus={() => all.data === undefined && all.state === "idle" && void all.load("/pattern-names")}
          >
            <option value="">{first ? `${first.name} (suggested)` : "not known"}</option>
            {suggested.length > 0 && (
              <optgroup label="Suggested">
                {suggested.map(({ id, name }) => (
                  <option key={id} value={id}>
                    {name}, by you
                  </option>
                ))}
              </optgroup>
            )}
            {chosen !== "" && ![...suggested, ...choices].some(({ id }) => id === chosen) && (
              <option value={chosen}>{nameOf(chosen)}, by you</option>
            )}
            {[true, false].map((mine) => {
              const group = choices.filter((each) => each.own === mine && !suggested.some(({ id }) => id === each.id));
              return group.length === 0 ? null : (
                <optgroup key={String(mine)} label={mine ? "Your own" : "All"}>
                  {group.map(({ id, name }) => (
                    <option key={id} value={id}>
                      {name}
                      {id === chosen ? ", by you" : ""}
                    </option>
                  ))}
                </optgroup>
              );
            })}
          </select>
        </label>
        {chosen === "" && first && (
          <button
            type="button"
            className="press text-sm"
            onClick={(event) => {
              const form = event.currentTarget.form;
              if (!form) return;
              const data = new FormData(form);
              data.set("pattern", first.id);
              void fetcher.submit(data, { method: "post" });
            }}
          >
            Yes, this kind
          </button>
        )}
        {shown && (
          <Link className="link" to={patternAddress(shown)} aria-label={`About: ${nameOf(shown)}`}>
            about it
          </Link>
        )}
      </div>
      {suggested.length > 0 && (
        <details>
          <summary className="cursor-pointer text-sm font-semibold text-steel-deep">Why this kind</summary>
          <ul className="text-sm">
            {suggested.map(({ id, name, why }) => (
              <li key={id}>
                <Link className="link" to={patternAddress(id)}>
                  {name}
                </Link>
                : {why}
              </li>
            ))}
          </ul>
        </details>
      )}
      <Said reply={settled(fetcher)} />
    </fetcher.Form>
  );
}
