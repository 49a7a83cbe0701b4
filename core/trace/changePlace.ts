import type { Step } from "./trace.ts";

/** Why nothing can be changed before a step of a recording; null where it can. */
export function placeProblem(steps: readonly Step[], step: Step | undefined): string | null {
  if (!step) return `There is no such step; the run has ${steps.length}.`;
  if (step.file !== 0) return "Something can be changed before lines of the main file only.";
  if (step.call !== undefined || step.resumes)
    return "Something can be changed where a line begins, not where a function is entered or a line goes on. Step on to the next line.";
  return null;
}
