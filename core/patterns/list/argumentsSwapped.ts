import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A function is given its values in another order than it takes them. */
export const argumentsSwapped: Pattern = {
  id: "arguments-swapped",
  name: "Values given in the wrong order",
  says: "A function is given its values in another order than it takes them.",
  mends: "Give them in its order.",
  fault: true,
  grounds: [byEdit("swapped", () => true, 1)],
};
