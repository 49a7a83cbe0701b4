import { byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A variable holds no object, and something of that object is asked for. */
export const emptyReferenceUsed: Pattern = {
  id: "empty-reference-used",
  name: "Something that is not there is used",
  says: "A variable holds no object, and something of that object is asked for.",
  mends: "Make the object first, or ask whether it is there.",
  fault: true,
  grounds: [byMessage("empty reference", { more: 2 }), byMessage("memory misused")],
};
