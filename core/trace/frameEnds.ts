import type { Step } from "./trace.ts";

/** The function of a sketch that draws a frame. */
const draws = "draw";

/**
 * Where each frame of a recorded sketch is over, in order: the step at which the next function begins that is called by nobody of the program,
 * or the number of steps. The picture at a step is the one after as many frames as are over by then.
 */
export function frameEnds(steps: readonly Step[]): number[] {
  const outer = steps.filter((step) => step.call !== undefined && step.depth === 0);
  return outer.flatMap((step, at) => (step.call === draws ? [outer[at + 1]?.index ?? steps.length] : []));
}
