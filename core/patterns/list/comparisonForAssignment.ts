import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { count, isCondition } from "../shape.ts";

/** Two signs of equality stand where a variable is to get a value, so nothing is kept. */
export const comparisonForAssignment: Pattern = {
  id: "comparison-for-assignment",
  name: "Compared where a value is to be given",
  says: "Two signs of equality stand where a variable is to get a value, so nothing is kept.",
  mends: "Use the sign that gives a value.",
  fault: true,
  grounds: [
    byEdit(
      "equality-sign",
      ({ lineBefore, lineAfter }) => count(lineBefore, /==/) > count(lineAfter, /==/) && !isCondition(lineBefore),
      2,
    ),
  ],
};
