import type { Pattern } from "../pattern.ts";

/** A position or length was kept, and what it is of has changed since. */
export const storedPositionStale: Pattern = {
  id: "stored-position-stale",
  name: "A position that is no longer right",
  says: "A position or length was kept, and what it is of has changed since.",
  mends: "Work it out again.",
  fault: true,
  grounds: [],
};
