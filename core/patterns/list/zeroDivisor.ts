import { byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A value by which is divided is zero for some input. */
export const zeroDivisor: Pattern = {
  id: "zero-divisor",
  name: "A divisor that becomes zero",
  says: "A value by which is divided is zero for some input.",
  mends: "Ask whether it is zero before dividing.",
  fault: true,
  grounds: [byMessage("division by zero", { more: 2 })],
};
