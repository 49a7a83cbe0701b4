import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A condition holds, or fails, whatever its values are. */
export const conditionAlwaysTrue: Pattern = {
  id: "condition-always-true",
  name: "A condition that always holds",
  says: "A condition holds, or fails, whatever its values are.",
  mends: "Compare each value with what it is to be compared with.",
  fault: true,
  grounds: [byEdit("comparison-left-out", () => true, 4)],
};
