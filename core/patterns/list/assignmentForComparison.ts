import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { count, isCondition } from "../shape.ts";

/** One sign of equality stands in a condition. */
export const assignmentForComparison: Pattern = {
  id: "assignment-for-comparison",
  name: "A value given where one is to be compared",
  says: "One sign of equality stands in a condition.",
  mends: "Use the sign that compares.",
  fault: true,
  grounds: [
    byEdit("equality-sign", ({ lineBefore, lineAfter }) => count(lineAfter, /==/) > count(lineBefore, /==/), 3),
    byEdit("equality-sign", ({ lineAfter }) => isCondition(lineAfter), 1),
  ],
};
