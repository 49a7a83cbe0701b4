import type { ReactNode } from "react";
import type { CaseView } from "./caseView.ts";

/** What was tried and not kept: changes of the text, and tries in a copy; each with what was believed and what became of it. */
export function TriedAsWell({ view, children }: { view: CaseView; children?: ReactNode }) {
  const versions = view.versions.filter((version) => version.aside);
  if (versions.length === 0 && view.tries.length === 0) return null;
  return (
    <section className="mt-2 text-sm" aria-labelledby="tried-title">
      <h3 id="tried-title" className="text-sm">
        Tried as well, and not kept
      </h3>
      <ul className="ml-5 list-disc">
        {versions.map((version) => (
          <li key={version.key}>
            version {version.number} ({version.origin}){version.became && `: ${version.became}`}
            {version.belief && `. Believed: ${version.belief}`}
          </li>
        ))}
        {view.tries.map((each) => (
          <li key={each.key}>
            in a copy, {each.words}: {each.passes ? "the result was as intended" : each.ended || "nothing decided"}
            {each.belief && ` Believed: ${each.belief}`}
          </li>
        ))}
      </ul>
      {versions.length > 0 && children}
    </section>
  );
}
