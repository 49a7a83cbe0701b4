import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A call gives a new value back, and nobody keeps it. */
export const resultThrownAway: Pattern = {
  id: "result-thrown-away",
  name: "A result that is thrown away",
  says: "A call gives a new value back, and nobody keeps it.",
  mends: "Keep what it gives.",
  fault: true,
  grounds: [byEdit("result-thrown-away", () => true, 3)],
};
