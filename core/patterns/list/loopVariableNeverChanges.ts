import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** Nothing in the loop moves what its condition waits for. */
export const loopVariableNeverChanges: Pattern = {
  id: "loop-variable-never-changes",
  name: "A loop in which nothing changes",
  says: "Nothing in the loop moves what its condition waits for.",
  mends: "Change it in every pass.",
  fault: true,
  grounds: [byEdit("loop-change", () => true, 3)],
};
