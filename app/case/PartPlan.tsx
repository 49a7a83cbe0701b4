import { useContext } from "react";
import { useFetcher } from "react-router";
import type { Reply } from "../actions.ts";
import { Said, settled } from "../components/Said.tsx";
import type { NarrowView } from "./narrowView.ts";
import { CaseRevision, Revision } from "./Revision.tsx";

/**
 * A plan for a program that grew too large at once: its parts in an order in which each can be tested before those that use it,
 * each with checks of its own.
 */
export function PartPlan({ plan, number }: { plan: NarrowView["plan"]; number: (line: number) => number }) {
  const fetcher = useFetcher<Reply>();
  const revision = useContext(CaseRevision);
  if (plan.length === 0) return null;
  const checks = plan.flatMap((part) => part.checks);
  const passed = checks.filter((check) => check.result?.passes).length;
  return (
    <details open={checks.length > 0}>
      <summary className="cursor-pointer font-semibold text-steel-deep">
        A plan of parts ({plan.length}
        {checks.length > 0 && `; ${passed} of ${checks.length} checks pass`})
      </summary>
      <p className="note-small">Each part is tested before those that use it: the first that fails is where to look.</p>
      <ol className="grid gap-2">
        {plan.map((part, at) => (
          <li key={part.name} className="grid gap-1 border-t border-rule pt-1">
            <p>
              {at + 1}. <strong>{part.name}</strong>{" "}
              <span className="note-small">
                {part.from === null ? "not in this version" : `lines ${number(part.from)} to ${number(part.to)}`}
                {part.calls.length > 0 && `, uses ${part.calls.join(", ")}`}
              </span>
            </p>
            <ul className="grid gap-1">
              {part.checks.map((check) => (
                <li key={check.key} className="flex flex-wrap items-baseline gap-x-2 text-sm">
                  <code>{check.expression}</code> is to be <code>{check.expected}</code>:{" "}
                  {check.result === null ? (
                    "not tried yet"
                  ) : check.result.passes ? (
                    <strong>it is</strong>
                  ) : (
                    <strong>{check.result.value === null ? check.result.ended : `it is ${check.result.value}`}</strong>
                  )}
                  <button
                    type="button"
                    className="press press-quiet ml-auto text-sm"
                    aria-label={`Take ${check.expression} out of the plan`}
                    onClick={() =>
                      void fetcher.submit({ intent: "drop part", key: check.key, revision }, { method: "post" })
                    }
                  >
                    Take out
                  </button>
                </li>
              ))}
            </ul>
            <fetcher.Form method="post" className="flex flex-wrap items-end gap-1">
              <input type="hidden" name="intent" value="add part" />
              <Revision />
              <input type="hidden" name="part" value={part.name} />
              <label className="text-sm">
                Work out
                <input
                  name="expression"
                  className="field w-40 font-mono"
                  defaultValue={`${part.name}(${part.parameters.join(", ")})`}
                  required
                />
              </label>
              <label className="text-sm">
                It is to be
                <input name="expected" className="field w-24 font-mono" required />
              </label>
              <button className="press" type="submit" disabled={fetcher.state !== "idle"}>
                Add
              </button>
            </fetcher.Form>
          </li>
        ))}
      </ol>
      {checks.length > 0 && (
        <fetcher.Form method="post" className="mt-2">
          <Revision />
          <button className="press" name="intent" value="try parts" type="submit" disabled={fetcher.state !== "idle"}>
            {fetcher.state === "idle" ? "Try all of them again" : "Trying…"}
          </button>
        </fetcher.Form>
      )}
      <Said reply={settled(fetcher)} />
    </details>
  );
}
