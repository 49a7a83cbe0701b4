import { byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** Something is made known and never used. That is no fault by itself. */
export const importNotNeeded: Pattern = {
  id: "import-not-needed",
  name: "Something imported and not used",
  says: "Something is made known and never used. That is no fault by itself.",
  mends: "Take it away.",
  fault: false,
  grounds: [byMessage("unused", { words: /import/i })],
};
