import * as z from "zod";
import type { RoundsView } from "../../../core/exercises/tasks/rounds.ts";
import { GoOn } from "../GoOn.tsx";
import type { FormProps } from "../taskParts.ts";
import { stepParts } from "./stepParts.ts";

const answerSchema = z.object({ steps: z.array(z.unknown()) }).catch({ steps: [] });

/** The steps that were come to, each in the form of its kind; what was given before stays as it is. */
export function Form({ view, answer, fixed, change, saveNow, taskKey, ...rest }: FormProps<RoundsView>) {
  const { steps } = answerSchema.parse(answer ?? {});
  const { closed, of } = view;
  const write = (at: number, given: unknown, next: number) =>
    change({
      steps: Array.from({ length: of }, (_, index) => (index === at ? given : (steps[index] ?? null))),
      closed: next,
    });
  return (
    <div className="grid gap-4">
      {view.steps.map((step, at) => {
        const StepForm = stepParts[at]?.Form;
        return (
          StepForm && (
            <div key={at} className="grid gap-2">
              <h4 className="font-semibold">
                Step {at + 1} of {of}: {step.title}
              </h4>
              <StepForm
                {...rest}
                taskKey={`${taskKey}-${at + 1}`}
                view={step.view}
                answer={steps[at] ?? null}
                fixed={fixed || at < closed}
                change={(given) => write(at, given, closed)}
                saveNow={saveNow}
              />
            </div>
          )
        );
      })}
      {closed < of - 1 && !fixed && (
        <GoOn to={closed + 2} give={() => write(closed, steps[closed] ?? null, closed + 1)} saveNow={saveNow} />
      )}
    </div>
  );
}
