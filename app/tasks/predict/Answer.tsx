import type { PredictAnswer } from "../../../core/exercises/tasks/predict.ts";

/** The output and the ending that were foretold. */
export function Answer({ compared }: { compared: PredictAnswer }) {
  return (
    <>
      <pre className="border border-rule px-2 text-sm whitespace-pre-wrap">{compared.output || "(nothing)"}</pre>
      {compared.ending && <p>It {compared.ending}.</p>}
      {compared.givenUp && <p className="note-small">Given up.</p>}
    </>
  );
}
