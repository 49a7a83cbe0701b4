import type { PredictView } from "../../../core/exercises/tasks/predict.ts";
import { WritingLines } from "../../print/PrintPage.tsx";
import { PrintedRun } from "../shown.tsx";

/** Room for what is printed. */
export function Paper({ view }: { view: PredictView }) {
  return (
    <>
      <PrintedRun text={view.text} input={view.input} />
      <WritingLines count={5} />
      <p>
        How does the run end? (1 mark){" "}
        {view.endings.map((ending) => (
          <span key={ending}>☐ it {ending}&emsp;</span>
        ))}
      </p>
    </>
  );
}
