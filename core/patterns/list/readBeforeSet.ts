import { byEdit, byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A variable is read before any value was given to it on this way through the program. */
export const readBeforeSet: Pattern = {
  id: "read-before-set",
  name: "Read before it has a value",
  says: "A variable is read before any value was given to it on this way through the program.",
  mends: "Give it a value first.",
  fault: true,
  grounds: [byEdit("first-value"), byMessage("not set", { more: 2 })],
};
