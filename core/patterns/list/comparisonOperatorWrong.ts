import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A decision compares in another way than is meant. */
export const comparisonOperatorWrong: Pattern = {
  id: "comparison-operator-wrong",
  name: "Another comparison",
  says: "A decision compares in another way than is meant.",
  mends: "Use the comparison that is meant.",
  fault: true,
  grounds: [
    byEdit(
      "comparison",
      ({ before, after }) => /[=!]/.test(before) !== /[=!]/.test(after) && !/[<>]/.test(before + after),
      2,
    ),
    byEdit("comparison"),
  ],
};
