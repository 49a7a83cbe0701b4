import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A line was copied and still uses a name or value of the one that it was copied from. */
export const copiedLineNotAdapted: Pattern = {
  id: "copied-line-not-adapted",
  name: "A copied line that was not adapted",
  says: "A line was copied and still uses a name or value of the one that it was copied from.",
  mends: "Change what differs.",
  fault: true,
  grounds: [byEdit("other-name", () => true, 1)],
};
