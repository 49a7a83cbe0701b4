import { byEdit, takesAway } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** An expression breaks off behind an operator. */
export const operatorAtLineEnd: Pattern = {
  id: "operator-at-line-end",
  name: "A line that ends with an operator",
  says: "An expression breaks off behind an operator.",
  mends: "Write the rest of the expression, or take the operator away.",
  fault: true,
  grounds: [
    byEdit(
      "sign",
      (change) =>
        takesAway(change) &&
        /^\s*[-+*/.&|]\s*$/.test(change.before) &&
        change.lineBefore.trimEnd().endsWith(change.before.trim()),
      2,
    ),
  ],
};
