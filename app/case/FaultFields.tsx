import { useEffect, useRef } from "react";
import { useFetcher } from "react-router";
import { causes, dependences, type FaultFields as Fields, moments } from "../../core/verdict/fields.ts";
import type { Reply } from "../actions.ts";
import { useClassWords } from "../components/marks.tsx";
import { Said, settled } from "../components/Said.tsx";
import type { CaseView } from "./caseView.ts";
import { Revision } from "./Revision.tsx";

const labels = { cause: "Comes from", moment: "Noticed", depends: "Shows" } as const;
const values = { cause: causes, moment: moments, depends: dependences } as const;
const order = ["cause", "moment", "depends"] as const;

/**
 * Where a fault comes from, when it is noticed and on what it depends, filled by the evidence; each is changed by choosing
 * another. `changing`: asked for by a key.
 */
export function FaultFields({ view, changing, onDone }: { view: CaseView; changing: boolean; onDone: () => void }) {
  const fetcher = useFetcher<Reply>();
  const form = useRef<HTMLFormElement>(null);
  const words = useClassWords();
  useEffect(() => {
    if (!changing) return;
    form.current?.querySelector("select")?.focus();
    onDone();
  }, [changing, onDone]);
  if (!view.fields) return null;
  const { own, suggested } = view.fields;
  const inWords = (name: (typeof order)[number], value: string | null) =>
    value === null ? "not known" : name === "cause" ? words(value as NonNullable<Fields["cause"]>) : value;
  return (
    <fetcher.Form
      ref={form}
      method="post"
      className="grid gap-1"
      aria-label="What the fault comes from, when it is noticed, on what it depends"
      onChange={(event) => void fetcher.submit(event.currentTarget)}
    >
      <input type="hidden" name="intent" value="fields" />
      <Revision />
      <input type="hidden" name="layer" value={view.openLayer?.key ?? ""} />
      <div className="flex flex-wrap gap-x-4 gap-y-1">
        {order.map((name) => (
          <label key={name} className="flex items-baseline gap-1.5 text-sm">
            <span className="note-small">{labels[name]}</span>
            <select
              name={name}
              className="field w-auto"
              value={fetcher.formData?.get(name)?.toString() ?? own?.[name] ?? ""}
              onChange={() => undefined}
              title={suggested[name].why}
            >
              <option value="">{inWords(name, suggested[name].value)}</option>
              {values[name].map((value) => (
                <option key={value} value={value}>
                  {inWords(name, value)}, by you
                </option>
              ))}
            </select>
          </label>
        ))}
        <kbd className="self-center">D</kbd>
      </div>
      <details>
        <summary className="cursor-pointer text-sm font-semibold text-steel-deep">Why the evidence says so</summary>
        <ul className="text-sm">
          {order.map((name) => (
            <li key={name}>
              {labels[name]}: {suggested[name].why}
            </li>
          ))}
          {view.neverRan.map((each) => (
            <li key={each}>{each}</li>
          ))}
        </ul>
      </details>
      <Said reply={settled(fetcher)} />
    </fetcher.Form>
  );
}
