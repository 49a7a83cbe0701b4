import { useFetcher } from "react-router";
import type { Reply } from "../actions.ts";
import { FilesBeside } from "../checks/FilesBeside.tsx";
import { Said } from "../components/Said.tsx";
import type { CheckShown } from "./assignmentView.ts";
import { ComparisonFields } from "./ComparisonFields.tsx";
import { Revision } from "./Revision.tsx";

/** A check of an assignment, to be added or changed. */
export function CheckForm({
  check,
  withModel,
  onDone,
}: {
  check?: CheckShown;
  /** Whether a model can work the intended output out. */
  withModel: boolean;
  onDone: () => void;
}) {
  const fetcher = useFetcher<Reply>();
  if (fetcher.state === "idle" && fetcher.data?.ok) setTimeout(onDone, 0);
  return (
    <fetcher.Form method="post" className="grid gap-2 border border-rule-strong bg-leaf p-3">
      <Revision />
      {check && <input type="hidden" name="key" value={check.key} />}
      <div className="grid gap-3 sm:grid-cols-2">
        <label>
          Name
          <input name="name" className="field" maxLength={120} defaultValue={check?.name ?? ""} />
        </label>
        <label>
          What it is for
          <input name="purpose" className="field" maxLength={500} defaultValue={check?.purpose ?? ""} />
        </label>
        <label>
          Typed in
          <textarea
            name="input"
            className="field field-code"
            rows={4}
            defaultValue={check?.input ?? ""}
            spellCheck={false}
            wrap="off"
          />
        </label>
        <label>
          Should come out {withModel && <span className="note-small font-normal">empty: the model works it out</span>}
          <textarea
            name="expected"
            className="field field-code"
            rows={4}
            defaultValue={check?.expected ?? ""}
            spellCheck={false}
            wrap="off"
          />
        </label>
      </div>
      <div className="flex flex-wrap gap-x-6 gap-y-1">
        <fieldset className="flex gap-4">
          <legend className="sr-only">Kind of test data</legend>
          {(["normal", "boundary", "erroneous"] as const).map((kind) => (
            <label key={kind} className="font-normal">
              <input type="radio" name="kind" value={kind} defaultChecked={(check?.kind ?? "normal") === kind} /> {kind}
            </label>
          ))}
        </fieldset>
        <label className="font-normal">
          <input type="checkbox" name="visible" defaultChecked={check?.visible ?? false} /> students see it
        </label>
        <label className="font-normal">
          <input type="checkbox" name="expectsNothing" defaultChecked={check?.expected === ""} /> nothing should come
          out
        </label>
      </div>
      <details>
        <summary className="cursor-pointer font-semibold text-steel-deep">
          Rules of its own, and files beside the program
        </summary>
        <div className="mt-2 grid gap-2">
          <ComparisonFields comparison={check?.comparison ?? {}} inCheck />
          <FilesBeside initial={check?.surroundings ?? {}} />
        </div>
      </details>
      <div className="flex flex-wrap items-baseline gap-3">
        <button
          type="submit"
          name="intent"
          value="check"
          className="press press-main"
          disabled={fetcher.state !== "idle"}
        >
          {fetcher.state === "idle" ? "Keep" : "Keeping…"}
        </button>
        <button type="button" className="press" onClick={onDone}>
          Leave as it was
        </button>
        {check && (
          <button type="submit" name="intent" value="remove check" className="press press-quiet">
            Take this check away
          </button>
        )}
      </div>
      {fetcher.data?.ok === false && <Said reply={fetcher.data} />}
    </fetcher.Form>
  );
}
