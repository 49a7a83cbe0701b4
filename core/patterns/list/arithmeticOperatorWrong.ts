import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A calculation uses another operator than the one that is meant. */
export const arithmeticOperatorWrong: Pattern = {
  id: "arithmetic-operator-wrong",
  name: "Another operator in a calculation",
  says: "A calculation uses another operator than the one that is meant.",
  mends: "Use the one that is meant.",
  fault: true,
  grounds: [byEdit("arithmetic", () => true, 1)],
};
