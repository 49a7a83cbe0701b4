import type { Language } from "../languages/language.ts";
import { createStates } from "../trace/stateAt.ts";
import type { Trace } from "../trace/trace.ts";
import { namesOf } from "./atStep.ts";
import { workOut } from "./evaluate.ts";
import { isUnknown } from "./known.ts";

/**
 * Where a condition holds before a line (from 1, of the main file) runs: the indexes of those steps, how often the line ran, and in words what could not be worked out, "" where
 * all was.
 */
export type Holds = { steps: number[]; ran: number; why: string };

/** Asks a condition, in the program's own language, each time that a line of a recorded run is about to run. */
export function holdsAt(language: Language, trace: Pick<Trace, "steps">, line: number, condition: string): Holds {
  const found: Holds = { steps: [], ran: 0, why: "" };
  const rules = language.values;
  if (!rules) return { ...found, why: `Conditions are not worked out for ${language.name}.` };
  const states = createStates(trace);
  for (const [place, step] of trace.steps.entries()) {
    if (step.line !== line || step.file !== 0 || step.resumes) continue;
    found.ran += 1;
    const state = states.to(place, "before");
    const worked = state && workOut(language, condition, namesOf(language, state));
    if (!worked) return { ...found, steps: [], why: `“${condition}” is no condition of ${language.name}.` };
    const holds = isUnknown(worked.value) ? worked.value : rules.isTrue(worked.value);
    if (holds === true) found.steps.push(step.index);
    else if (holds !== false && found.why === "") found.why = holds.why;
  }
  return found;
}
