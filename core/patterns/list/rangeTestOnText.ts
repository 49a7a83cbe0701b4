import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { isCondition } from "../shape.ts";

/** Whether a value lies in a range is asked of texts, which are ordered by their letters. */
export const rangeTestOnText: Pattern = {
  id: "range-test-on-text",
  name: "A range asked of texts",
  says: "Whether a value lies in a range is asked of texts, which are ordered by their letters.",
  mends: "Make numbers of them first.",
  fault: true,
  grounds: [byEdit("conversion", ({ lineAfter }) => isCondition(lineAfter) && /[<>]/.test(lineAfter), 2)],
};
