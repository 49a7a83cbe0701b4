import { byEdit, takesAway } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A sign that ends the decision stands before its else. */
export const semicolonBeforeElse: Pattern = {
  id: "semicolon-before-else",
  name: "A sign before else",
  says: "A sign that ends the decision stands before its else.",
  mends: "Take it away.",
  fault: true,
  grounds: [byEdit("terminator", takesAway, 4)],
};
