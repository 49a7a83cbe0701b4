import { byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A text is to be made a number and holds something else. */
export const textNotANumber: Pattern = {
  id: "text-not-a-number",
  name: "A text that is no number",
  says: "A text is to be made a number and holds something else.",
  mends: "Look at the text before, or handle what is none.",
  fault: true,
  grounds: [byMessage("conversion", { more: 2 })],
};
