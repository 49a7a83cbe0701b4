import type { Limits, Outcome } from "../../core/outcome/outcome.ts";
import type { Step } from "../../core/trace/trace.ts";

/** A recording up to its limit of steps, and in words why it is not whole, if it is not. */
export function cutRecording(
  block: { steps: Step[]; damaged: boolean } | undefined,
  outcome: Outcome,
  limits: Limits,
): { steps: Step[]; cut?: string } {
  // Some recorders see only at the beginning of the next step that there were enough.
  const steps = (block?.steps ?? []).slice(0, limits.steps);
  if (!block) return { steps };
  if (block.damaged)
    return { steps, cut: "The program disturbed its own recording; what could still be read is shown." };
  const first = `The first ${steps.length} steps`;
  if (outcome.stoppedBy === "steps")
    return { steps, cut: `${first}; the program went on. The limit is ${limits.steps} steps.` };
  if (outcome.stoppedBy === "time" || outcome.stoppedBy === "memory" || outcome.stoppedBy === "output")
    return { steps, cut: `${first}, up to the ${outcome.stoppedBy} limit.` };
  return { steps };
}
