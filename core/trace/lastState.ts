import { createObjectStore } from "./objectStore.ts";
import type { Trace, Value } from "./trace.ts";

/** Names shown at most. */
const mostNames = 6;
/** Characters of a value shown at most. */
const mostCharacters = 40;

/**
 * The line that ran last in a recording (1-based, main file only), and what the names of its call and the globals held
 * then, those that changed last first.
 */
export type LastState = { line: number; values: Array<{ name: string; text: string }> };

/** Where a recorded run was when it was stopped, or null if no line of the main file ran. */
export function lastState(trace: Trace): LastState | null {
  const last = trace.steps.findLast((step) => step.file === 0);
  if (!last) return null;
  const store = createObjectStore();
  const values = new Map<string, { value: Value; at: number }>();
  for (const step of trace.steps) {
    for (const write of step.writes) {
      store.apply(write);
      if (write.scope === "object" || (write.scope === "frame" && write.owner !== last.frame)) continue;
      const name = String(write.path[0]);
      if (write.value) values.set(name, { value: write.value, at: step.index });
      else values.delete(name);
    }
  }
  const shown = [...values]
    .sort(([, one], [, other]) => other.at - one.at)
    .slice(0, mostNames)
    .map(([name, { value }]) => {
      const text = store.write(value);
      return { name, text: text.length > mostCharacters ? `${text.slice(0, mostCharacters)}…` : text };
    });
  return { line: last.line, values: shown };
}
