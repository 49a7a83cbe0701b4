import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** An else belongs to another decision than its layout shows. */
export const elseOfNearerIf: Pattern = {
  id: "else-of-nearer-if",
  name: "An else of the nearer if",
  says: "An else belongs to another decision than its layout shows.",
  mends: "Mark the block of the inner decision.",
  fault: true,
  grounds: [byEdit(["chain", "indentation", "block-marks"], ({ lineBefore }) => /\belse\b/.test(lineBefore), 1)],
};
