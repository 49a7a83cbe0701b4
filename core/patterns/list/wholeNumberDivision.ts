import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** Two whole numbers are divided and the fraction is lost, or kept where it is not meant. */
export const wholeNumberDivision: Pattern = {
  id: "whole-number-division",
  name: "Whole numbers divided",
  says: "Two whole numbers are divided and the fraction is lost, or kept where it is not meant.",
  mends: "Use the division that is meant.",
  fault: true,
  grounds: [
    byEdit(
      ["conversion", "arithmetic"],
      ({ lineBefore, before, after }) =>
        /\/|div\b/.test(lineBefore) && (/\/\/?|div/.test(before + after) || /\.0|double|float/.test(after)),
      3,
    ),
  ],
};
