import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** Less stands for greater, or greater for less. */
export const comparisonTurned: Pattern = {
  id: "comparison-turned",
  name: "A comparison the wrong way round",
  says: "Less stands for greater, or greater for less.",
  mends: "Turn the sign.",
  fault: true,
  grounds: [byEdit("comparison", ({ before, after }) => /[<>]/.test(before) && /[<>]/.test(after), 2)],
};
