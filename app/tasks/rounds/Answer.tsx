import type { RoundsCompared } from "../../../core/exercises/tasks/rounds.ts";
import { stepParts } from "./stepParts.ts";

/** What was given in each step, beside what is right. */
export function Answer({ compared }: { compared: RoundsCompared }) {
  return (
    <div className="grid gap-3">
      {compared.steps.map((step, at) => {
        const StepAnswer = stepParts[at]?.Answer;
        return (
          <div key={at}>
            <p className="note-small">
              Step {at + 1}: {step.title}
            </p>
            {step.compared === null || !StepAnswer ? <p>No answer.</p> : <StepAnswer compared={step.compared} />}
          </div>
        );
      })}
    </div>
  );
}
