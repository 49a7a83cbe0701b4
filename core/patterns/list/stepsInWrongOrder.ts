import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A step is made before the one on which it rests. */
export const stepsInWrongOrder: Pattern = {
  id: "steps-in-wrong-order",
  name: "Steps in the wrong order",
  says: "A step is made before the one on which it rests.",
  mends: "Put the steps in order.",
  fault: true,
  grounds: [byEdit("moved", () => true, 1), byEdit("extra-statement", () => true, -5)],
};
