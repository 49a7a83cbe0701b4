import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A value that is to grow over all passes is set back inside of the loop. */
export const restartInsideLoop: Pattern = {
  id: "restart-inside-loop",
  name: "Begun anew in every pass",
  says: "A value that is to grow over all passes is set back inside of the loop.",
  mends: "Set it before the loop.",
  fault: true,
  grounds: [
    byEdit(
      "moved",
      ({ lineBefore, lineAfter }) => /^\s*(?:\w+\s+)?\w+\s*:?=\s*[-\d."'[]/m.test(lineBefore + lineAfter),
      4,
    ),
    byEdit("accumulation", () => true),
  ],
};
