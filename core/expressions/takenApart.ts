import type { Language } from "../languages/language.ts";
import type { Trace } from "../trace/trace.ts";
import { workOutAt } from "./atStep.ts";
import type { Worked, WorkedLine } from "./evaluate.ts";
import { type ExpressionUse, expressionsOn } from "./expressionsOn.ts";
import { isUnknown } from "./known.ts";

/** An expression of a line taken apart in both ways; `why` says what could not be worked out, "" where all was. */
export type TakenApart = {
  use: ExpressionUse | "wanted";
  text: string;
  machine: WorkedLine[];
  paper: WorkedLine[];
  why: string;
  raised: boolean;
  /** What it comes to and of what type; "" where that is not known. */
  value: string;
  type: string;
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
    return [both(expression.use, expression.text, machine, paper)];
  });
}

function both(use: TakenApart["use"], text: string, machine: Worked, paper: Worked): TakenApart {
  const unknown = isUnknown(machine.value) ? machine.value : null;
  return {
    ...{ use, text, machine: machine.lines, paper: paper.lines },
    ...{ why: unknown?.why ?? "", raised: unknown?.raised === true },
    ...{ value: machine.written, type: isUnknown(machine.value) ? "" : machine.value.type },
  };
}

/** An expression that somebody asks, taken apart with the values that were there before a recorded step (by its place). */
export function takenApartText(
  language: Language,
  trace: Pick<Trace, "steps">,
  place: number,
  text: string,
): TakenApart {
  const machine = workOutAt(language, trace, place, { text });
  const paper = workOutAt(language, trace, place, { text }, "paper");
  if (machine && paper) return both("wanted", text, machine, paper);
  const why = `“${text}” is no expression of ${language.name}.`;
  return { use: "wanted", text, machine: [], paper: [], why, raised: false, value: "", type: "" };
}
