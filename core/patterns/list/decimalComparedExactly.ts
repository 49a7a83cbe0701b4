import type { Pattern } from "../pattern.ts";

/** Two decimal numbers are compared for equality, and differ in their last digits. */
export const decimalComparedExactly: Pattern = {
  id: "decimal-compared-exactly",
  name: "Decimals compared exactly",
  says: "Two decimal numbers are compared for equality, and differ in their last digits.",
  mends: "Compare with a tolerance.",
  fault: true,
  grounds: [],
};
