import type { Step, Trace, Write } from "../trace/trace.ts";

/** What a write says, without the number of the call that it belongs to where that is another one in each pass. */
function written(frame: number, { scope, owner, path, value }: Write): unknown {
  return [scope, scope === "frame" && owner !== frame ? 0 : owner, path, value];
}

/** What a step does, as text; undefined where it does what a recording does not show all of. */
function done(frame: number, step: Step, isUnseen: (step: Step) => boolean): string | undefined {
  if (step.in !== undefined || isUnseen(step)) return undefined;
  const { file, line, depth, out, err, returned, raised } = step;
  return JSON.stringify([
    ...[file, line, depth, out, err, returned, raised],
    step.writes.map((write) => written(frame, write)),
  ]);
}

/**
 * How many passes at the end of a recording went through the very same lines with the very same values in the loop at `header`
 * (a line of the main file) in the call `frame`, the one that was cut off left out: from the last back. Lines that read what is
 * typed in, or draw on what `isUnseen` tells, end the count; `most` passes are looked at.
 */
export function sameRounds(
  { steps }: Trace,
  header: number,
  frame: number,
  isUnseen: (step: Step) => boolean,
  most: number,
): number {
  let rounds = 0;
  let model: readonly string[] | null = null;
  let round: string[] = [];
  let isWhole = false;
  for (let at = steps.length - 1; at >= 0 && rounds < most; at--) {
    const step = steps[at];
    if (!step) break;
    const text = done(frame, step, isUnseen);
    if (text === undefined) break;
    round.push(text);
    // The rest of a call that goes on behind what it called is no pass of its own.
    if (step.line !== header || step.file !== 0 || step.frame !== frame || step.resumes) continue;
    if (isWhole) {
      const same: boolean =
        model === null || (model.length === round.length && model.every((one, index) => one === round[index]));
      if (!same) break;
      model ??= round;
      rounds += 1;
    }
    isWhole = true;
    round = [];
  }
  return rounds;
}
