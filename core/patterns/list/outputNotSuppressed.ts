import { byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A line shows its result because its end does not say otherwise. That is no fault by itself. */
export const outputNotSuppressed: Pattern = {
  id: "output-not-suppressed",
  name: "A result that is shown unasked",
  says: "A line shows its result because its end does not say otherwise. That is no fault by itself.",
  mends: "End the line so that nothing is shown.",
  fault: false,
  grounds: [byMessage("unsuppressed output", { more: 2 })],
};
