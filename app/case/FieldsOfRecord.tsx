import { className, findWording } from "../../core/wording/wordings.ts";
import { adviceWords } from "./AdviceForm.tsx";
import type { CaseView } from "./caseView.ts";

/** Where a fault came from, when it was noticed and on what it depended, as far as that is known; `wording` of its course. */
export function FieldsOfRecord({ layer, wording }: { layer: CaseView["layers"][number]; wording: string }) {
  const { cause, moment, depends } = layer.fields;
  const said = [
    layer.kindOfMistake && `kind of mistake: ${layer.kindOfMistake}`,
    cause && `comes from: ${className(findWording(wording), cause)}`,
    moment && `noticed: ${moment}`,
    depends,
    layer.advice && `the message's advice ${layer.advice === "none" ? "is none" : adviceWords[layer.advice]}`,
    layer.unsaid && `it does not say: ${layer.unsaid}`,
  ].filter((each) => each);
  return (
    <>
      {said.length > 0 && <p className="note-small">{said.join(" · ")}</p>}
      {layer.missing.length > 0 && (
        <p className="note-small">
          <strong>Still missing in this record:</strong> {layer.missing.join(", ")}.
        </p>
      )}
    </>
  );
}
