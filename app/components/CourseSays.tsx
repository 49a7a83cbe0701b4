import { useContext } from "react";
import { type ChoicePlace, courseTerms, saidAt } from "../../core/wording/choices.ts";
import { WordingContext } from "./marks.tsx";

/** What the course of a page says where courses differ, as far as it belongs here; for students also its words for terms. Nothing where it says nothing. */
export function CourseSays({ at }: { at: ChoicePlace }) {
  const { chosen } = useContext(WordingContext);
  if (!chosen) return null;
  const said = saidAt(at, chosen);
  const terms = at === "students" ? courseTerms.filter(({ id }) => chosen.terms[id]) : [];
  if (said.length === 0 && terms.length === 0) return null;
  return (
    <details className="border-l-2 border-rule-strong pl-3" open={at !== "students"}>
      <summary className="cursor-pointer text-sm font-semibold text-steel-deep">In this course</summary>
      <ul className="text-sm">
        {said.map(({ id, says, limits }) => (
          <li key={id}>
            {says} {at !== "students" && limits && <span className="note-small">{limits}</span>}
          </li>
        ))}
        {terms.map(({ id, means }) => (
          <li key={id}>
            <strong>{chosen.terms[id]}</strong>: {means}.
          </li>
        ))}
      </ul>
    </details>
  );
}
