import { byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A dictionary is asked for a key that it does not hold. */
export const keyNotThere: Pattern = {
  id: "key-not-there",
  name: "A key that is not there",
  says: "A dictionary is asked for a key that it does not hold.",
  mends: "Ask whether it is there, or put it in first.",
  fault: true,
  grounds: [byMessage("key missing", { more: 3 })],
};
