import type { Language } from "../languages/language.ts";
import type { Trace } from "../trace/trace.ts";
import { workOutAt } from "./atStep.ts";
import type { WorkedLine } from "./evaluate.ts";
import { type ExpressionUse, expressionsOn } from "./expressionsOn.ts";
import { isUnknown } from "./known.ts";

/** An expression of a line taken apart in both ways; `why` says what could not be worked out, "" where all was. */
export type TakenApart = {
  use: ExpressionUse;
  text: string;
  machine: WorkedLine[];
  paper: WorkedLine[];
  why: string;
  raised: boolean;
};

/** The expressions of the line of a recorded step (by its place), taken apart with the values that were there. Main file only. */
export function takenApart(language: Language, text: string, trace: Pick<Trace, "steps">, place: number): TakenApart[] {
  const line = trace.steps[place]?.line ?? 0;
  return expressionsOn(language, text, line).flatMap((expression) => {
    const machine = workOutAt(language, trace, place, expression);
    const paper = workOutAt(language, trace, place, expression, "paper");
    if (!machine || !paper) return [];
    // A value that stands there by itself is nothing to work out.
    if (machine.lines.length < 2 && !isUnknown(machine.value)) return [];
    const unknown = isUnknown(machine.value) ? machine.value : null;
    return [
      {
        ...{ use: expression.use, text: expression.text, machine: machine.lines, paper: paper.lines },
        ...{ why: unknown?.why ?? "", raised: unknown?.raised === true },
      },
    ];
  });
}
