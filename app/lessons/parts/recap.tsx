import type { PartOf, PartParts } from "./partParts.ts";
import { ClassExplained } from "./shared.tsx";

/** A class that was met, with what it was in this lesson. */
function Met({ met: { examples, ...told } }: { met: PartOf<"recap">["shows"][number] }) {
  return (
    <div className="grid gap-2">
      <ClassExplained {...told} />
      {examples.map(({ title, before, after, says }, at) => (
        <div key={at} className="border-l-4 border-rule-strong pl-3">
          <p className="font-semibold">{title}</p>
          {says !== "" && <p className="font-mono text-[0.85em]">{says}</p>}
          <pre className="text-[0.85em] whitespace-pre-wrap">
            {before.map((line, index) => (
              <del key={index} className="block">
                {line}
              </del>
            ))}
            {after.map((line, index) => (
              <ins key={index} className="block no-underline">
                {line}
              </ins>
            ))}
          </pre>
        </div>
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
      {part.shows.slice(0, count).map((each) => (
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
