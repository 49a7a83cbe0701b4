import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** Two values are used for each other: one is divided by the other, or taken from it, the wrong way round. */
export const argumentsInWrongRoles: Pattern = {
  id: "arguments-in-wrong-roles",
  name: "Values in the wrong roles",
  says: "Two values are used for each other: one is divided by the other, or taken from it, the wrong way round.",
  mends: "Change their places.",
  fault: true,
  grounds: [byEdit("swapped", ({ lineBefore }) => /[-/%]/.test(lineBefore), 2)],
};
