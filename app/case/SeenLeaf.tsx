import { SeenList } from "../casebook/SeenList.tsx";
import type { CaseView } from "./caseView.ts";

/** Earlier cases like this one: the same message but for names and numbers, the same kind of mistake, or the same fix. */
export function SeenLeaf({ view }: { view: CaseView }) {
  const seen = view.seen ?? [];
  return (
    <div className="grid gap-2">
      <h2>Seen before</h2>
      {seen.length === 0 ? (
        <p>
          Nothing like it yet: no earlier case has this message but for names and numbers, this kind of mistake, or a
          fix of this kind.
        </p>
      ) : (
        <SeenList seen={seen} />
      )}
    </div>
  );
}
