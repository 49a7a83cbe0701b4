import { MetExample } from "../../components/MetExample.tsx";
import type { PartOf, PartParts } from "./partParts.ts";
import { ClassExplained } from "./shared.tsx";

/** A class that was met, with what it was in this lesson. */
function Met({ met: { examples, ...told } }: { met: PartOf<"recap">["shows"][number] }) {
  return (
    <div className="grid gap-2">
      <ClassExplained {...told} />
      {examples.map((example, at) => (
        <MetExample key={at} example={example} />
      ))}
    </div>
  );
}

export const recap: PartParts<"recap"> = {
  kind: "recap",
  steps: ({ shows }) => shows.length,
  Before: ({ part, count }) => (
    <div className="grid gap-4" aria-live="polite">
      {count === 0 && <p>What did we meet today, and how was each one found?</p>}
      {/* One at a time: what was shown before is a key back, and nothing is below the edge of the screen. */}
      {part.shows.slice(Math.max(0, count - 1), count).map((each) => (
        <Met key={each.of} met={each} />
      ))}
    </div>
  ),
  Read: ({ part }) =>
    part.shows.length === 0 ? (
      <p>This comes after the lesson.</p>
    ) : (
      part.shows.map((each) => <Met key={each.of} met={each} />)
    ),
  Plan: () => "the kinds of error of this lesson’s programs, each with what it was here",
  Fields: () => <p>It shows what the programs of this lesson were.</p>,
  contentOf: () => ({}),
};
