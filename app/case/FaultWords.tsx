import { useFetcher } from "react-router";
import type { FaultPlace } from "../../core/cases/case.ts";
import type { Reply } from "../actions.ts";
import { Said, settled } from "../components/Said.tsx";
import { Revision } from "./Revision.tsx";

const placeWords: Readonly<Record<FaultPlace, string>> = {
  lines: "on the marked lines",
  "after the line": "between lines: something is missing after the marked one",
  outside: "outside of the program: in its input, files or surroundings",
};

/** What a fault is in words, where it lies, and why that is not where the tool said. `layer` null: a new one. */
export function FaultWords({
  layer,
}: {
  layer: { key: string; place: FaultPlace; placeReason: string; explanation: string } | null;
}) {
  const fetcher = useFetcher<Reply>();
  const said = layer && (layer.explanation || layer.placeReason || layer.place !== "lines");
  return (
    <div className="grid gap-1">
      {said && (
        <>
          {layer.explanation && <p className="whitespace-pre-wrap">{layer.explanation}</p>}
          {(layer.place !== "lines" || layer.placeReason) && (
            <p className="note-small">
              The fault lies {placeWords[layer.place]}.{layer.placeReason && ` Why: ${layer.placeReason}`}
            </p>
          )}
        </>
      )}
      <details>
        <summary className="cursor-pointer text-sm font-semibold text-steel-deep">
          {said ? "Change these words" : "What the fault is, in words, and why it lies elsewhere than reported"}
        </summary>
        <fetcher.Form method="post" className="mt-1 grid gap-2">
          <input type="hidden" name="intent" value="describe fault" />
          <Revision />
          <input type="hidden" name="layer" value={layer?.key ?? ""} />
          <label>
            What the fault is
            <textarea name="explanation" className="field" rows={2} defaultValue={layer?.explanation ?? ""} />
          </label>
          <label>
            Where it lies
            <select name="place" className="field" defaultValue={layer?.place ?? "lines"}>
              {(["lines", "after the line", "outside"] as const).map((place) => (
                <option key={place} value={place}>
                  {placeWords[place]}
                </option>
              ))}
            </select>
          </label>
          <label>
            Why there, and not where the tool said
            <input name="placeReason" className="field" defaultValue={layer?.placeReason ?? ""} />
          </label>
          <div>
            <button className="press" type="submit">
              Keep
            </button>
          </div>
          <Said reply={settled(fetcher)} />
        </fetcher.Form>
      </details>
    </div>
  );
}
