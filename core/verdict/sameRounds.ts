import type { Step, Trace, Value, Write } from "../trace/trace.ts";

/** The step at which each object of a recording is first met, by its number. */
function firstMet(steps: readonly Step[]): ReadonlyMap<number, number> {
  const met = new Map<number, number>();
  const meet = (value: Value | null | undefined, at: number): void => {
    if (!value) return;
    if (value.id !== undefined && !met.has(value.id)) met.set(value.id, at);
    for (const item of value.items ?? []) meet(item.value, at);
  };
  for (const [at, step] of steps.entries()) {
    for (const write of step.writes) meet(write.value, at);
    meet(step.returned, at);
  }
  return met;
}

/**
 * How objects are told from one another in the pass that begins at step `start`: those from before it by their numbers,
 * those that it makes by their order, since each pass makes others.
 */
function namesOfObjects(met: ReadonlyMap<number, number>, start: number): (id: number) => number | string {
  const made = new Map<number, string>();
  return (id) => {
    if ((met.get(id) ?? start) < start) return id;
    const name = made.get(id) ?? `new ${made.size}`;
    made.set(id, name);
    return name;
  };
}

/** What a write says, without the number of the call that it belongs to where that is another one in each pass. */
function written(
  frame: number,
  { scope, owner, path, value }: Write,
  nameOf: (id: number) => number | string,
): unknown {
  const places = { global: owner, frame: owner === frame ? owner : 0, object: nameOf(owner) };
  return [scope, places[scope], path, value];
}

/** What a step does, as text. */
function done(frame: number, step: Step, nameOf: (id: number) => number | string): string {
  const { file, line, depth, out, err, returned, raised, writes } = step;
  const all = [file, line, depth, out, err, returned, raised, writes.map((write) => written(frame, write, nameOf))];
  return JSON.stringify(all, (key, value: unknown) =>
    key === "id" && typeof value === "number" ? nameOf(value) : value,
  );
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
  const met = firstMet(steps);
  let round: Step[] = [];
  let isWhole = false;
  for (let at = steps.length - 1; at >= 0 && rounds < most; at--) {
    const step = steps[at];
    if (!step) break;
    if (step.in !== undefined || isUnseen(step)) break;
    round.push(step);
    // The rest of a call that goes on behind what it called is no pass of its own.
    if (step.line !== header || step.file !== 0 || step.frame !== frame || step.resumes) continue;
    if (isWhole) {
      const nameOf = namesOfObjects(met, at);
      const texts: readonly string[] = round.toReversed().map((one) => done(frame, one, nameOf));
      const same: boolean =
        model === null || (model.length === texts.length && model.every((one, index) => one === texts[index]));
      if (!same) break;
      model ??= texts;
      rounds += 1;
    }
    isWhole = true;
    round = [];
  }
  return rounds;
}
