import { createObjectStore } from "./objectStore.ts";
import type { Step, Trace, Value } from "./trace.ts";

/**
 * What is known where a recorded line ran. `value` gives what a name holds, with all that is in it: of the line's own call, else of
 * the whole program; `returned` what the functions that the line called gave back, in order.
 */
export type StateAt = {
  names: () => string[];
  value: (name: string) => Value | undefined;
  returned: ReadonlyArray<{ call: string; value: Value | null }>;
};

/** Whether the line is about to run, or has run. */
export type Moment = "before" | "after";

/**
 * Goes along a recording; `to` gives the state at a step, by its place in `steps`, and must be asked for steps in their order
 * (before and after of one step as well). A state is to be asked before the next one is gone to. Null where there is no step.
 */
export function createStates({ steps }: Pick<Trace, "steps">): {
  to: (place: number, moment: Moment) => StateAt | null;
} {
  const store = createObjectStore();
  const program = new Map<string, Value>();
  const frames = new Map<number, Map<string, Value>>();
  let done = 0;

  function apply(step: Step): void {
    for (const write of step.writes) {
      store.apply(write);
      if (write.scope === "object") continue;
      const names = write.scope === "global" ? program : (frames.get(write.owner) ?? new Map<string, Value>());
      if (write.scope === "frame") frames.set(write.owner, names);
      const name = String(write.path[0]);
      if (write.value) names.set(name, write.value);
      else names.delete(name);
    }
  }

  return {
    to: (place, moment) => {
      const at = steps[place];
      if (!at) return null;
      for (const last = moment === "before" ? place : place + 1; done < last; done++) apply(steps[done] as Step);
      const own = frames.get(at.frame) ?? new Map<string, Value>();
      return {
        names: () => [...new Set([...own.keys(), ...program.keys()])],
        value: (name) => {
          const value = own.get(name) ?? program.get(name);
          return value && !store.isUnset(value) ? store.whole(value) : undefined;
        },
        returned: returnedIn(steps, lineBegin(steps, place)),
      };
    },
  };
}

/** The state at a step of a recording, by its place in `steps`; null where there is no such step. */
export function stateAt(trace: Pick<Trace, "steps">, place: number, moment: Moment = "before"): StateAt | null {
  return createStates(trace).to(place, moment);
}

/** Where the line of a step began, by its place: a step with which a line goes on belongs to the one that made the call. */
function lineBegin(steps: readonly Step[], place: number): number {
  const frame = steps[place]?.frame;
  let at = place;
  while (at > 0 && (steps[at]?.resumes || steps[at]?.frame !== frame)) at -= 1;
  return at;
}

/** What the calls of a line gave back, in the order in which they were made: up to where its own call goes on with another line. */
function returnedIn(steps: readonly Step[], place: number): StateAt["returned"] {
  const at = steps[place];
  if (!at?.calls) return [];
  const found: Array<{ call: string; value: Value | null }> = [];
  const byFrame = new Map<number, { call: string; value: Value | null }>();
  for (let next = place + 1; next < steps.length; next++) {
    const step = steps[next] as Step;
    if ((step.frame === at.frame && !step.resumes) || step.depth < at.depth) break;
    if (step.depth === at.depth + 1 && step.call !== undefined) {
      const made = { call: step.call, value: null };
      byFrame.set(step.frame, made);
      found.push(made);
    }
    const made = byFrame.get(step.frame);
    if (made && step.returned) made.value = step.returned;
  }
  return found;
}
