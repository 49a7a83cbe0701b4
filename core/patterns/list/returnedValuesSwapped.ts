import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** Two results of a function, or of its two ways, are changed for each other. */
export const returnedValuesSwapped: Pattern = {
  id: "returned-values-swapped",
  name: "Results the wrong way round",
  says: "Two results of a function, or of its two ways, are changed for each other.",
  mends: "Change their places.",
  fault: true,
  grounds: [byEdit("swapped", ({ lineBefore }) => /\breturn\b/.test(lineBefore), 4)],
};
