import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { isLimitMoved } from "../shape.ts";

/** A limit is one off: its last value is left out, or one more is taken in. */
export const limitOffByOne: Pattern = {
  id: "limit-off-by-one",
  name: "One too far or not far enough",
  says: "A limit is one off: its last value is left out, or one more is taken in.",
  mends: "Decide whether the limit itself belongs to it.",
  fault: true,
  grounds: [
    byEdit("comparison", ({ lineBefore, lineAfter }) => isLimitMoved(lineBefore, lineAfter), 3),
    byEdit(["by-one"], () => true, 1),
  ],
};
