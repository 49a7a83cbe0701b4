import { useFetcher } from "react-router";
import type { Reply } from "../actions.ts";
import { Said, settled } from "../components/Said.tsx";
import type { CaseView } from "./caseView.ts";
import { Revision } from "./Revision.tsx";

export const adviceWords = {
  agrees: "agrees with what mends it",
  partly: "is partly right",
  misleads: "misleads",
  none: "none is given",
} as const;

/** What the messages about a fault were worth: their advice beside what mends it, and what they do not say. */
export function AdviceForm({ layer }: { layer: Pick<CaseView["layers"][number], "key" | "advice" | "unsaid"> | null }) {
  const fetcher = useFetcher<Reply>();
  return (
    <fetcher.Form
      method="post"
      className="grid gap-2 border-t border-rule pt-3"
      aria-label="What the messages were worth"
    >
      <input type="hidden" name="intent" value="advice" />
      <Revision />
      <input type="hidden" name="layer" value={layer?.key ?? ""} />
      <label>
        Its advice
        <select name="advice" className="field" defaultValue={layer?.advice ?? ""}>
          <option value="">not looked at</option>
          {Object.entries(adviceWords).map(([value, words]) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </select>
      </label>
      <label>
        What it does not say
        <input name="unsaid" className="field" defaultValue={layer?.unsaid ?? ""} />
      </label>
      <div>
        <button className="press" type="submit" disabled={fetcher.state !== "idle"}>
          Keep
        </button>
      </div>
      <Said reply={settled(fetcher)} />
    </fetcher.Form>
  );
}
