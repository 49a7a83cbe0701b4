import type { Step } from "./trace.ts";

/**
 * Puts what was printed on the steps that printed it, where a program's library holds text back until a line is full.
 * `out` of the steps is when text reached the screen; `held` is what was held back after a step, by its index. What is
 * left at the end never reached the screen: `unseen`.
 */
export function printedByStep(steps: readonly Step[], held: ReadonlyMap<number, string>): void {
  if (held.size === 0) return;
  let before = "";
  for (const step of steps) {
    const shown = step.out ?? "";
    // At the program's end the library hands on what it holds; nobody looks after that.
    const after = held.get(step.index) ?? (before !== "" && shown.startsWith(before) ? "" : before);
    const all = shown + after;
    const printed = all.startsWith(before) ? all.slice(before.length) : shown;
    if (printed === "") delete step.out;
    else step.out = printed;
    before = after;
  }
  let left = before.length;
  for (const step of [...steps].reverse()) {
    if (left === 0) return;
    const lost = (step.out ?? "").slice(-left);
    if (lost !== "") step.unseen = lost;
    left -= lost.length;
  }
}
