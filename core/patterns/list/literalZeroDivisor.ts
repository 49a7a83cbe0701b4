import { byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** The divisor is a zero that stands in the text. */
export const literalZeroDivisor: Pattern = {
  id: "literal-zero-divisor",
  name: "Divided by a plain zero",
  says: "The divisor is a zero that stands in the text.",
  mends: "Divide by what is meant.",
  fault: true,
  grounds: [byMessage("division by zero", { words: /literal|constant/i, more: 3 })],
};
