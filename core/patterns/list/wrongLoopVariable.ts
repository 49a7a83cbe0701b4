import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** In loops inside each other the variable of the wrong one is used. */
export const wrongLoopVariable: Pattern = {
  id: "wrong-loop-variable",
  name: "The other loop's variable",
  says: "In loops inside each other the variable of the wrong one is used.",
  mends: "Use the one that is meant.",
  fault: true,
  grounds: [byEdit("other-name", ({ before, after }) => /^\w$/.test(before.trim()) && /^\w$/.test(after.trim()), 3)],
};
