import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** Two conditions are joined by the wrong word, or one of them is turned. */
export const andOrMixedUp: Pattern = {
  id: "and-or-mixed-up",
  name: "And for or, or for and",
  says: "Two conditions are joined by the wrong word, or one of them is turned.",
  mends: "Say it aloud with both words and try a value for each.",
  fault: true,
  grounds: [byEdit("logic-word", () => true, 1)],
};
