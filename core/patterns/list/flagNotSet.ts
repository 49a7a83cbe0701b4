import type { Pattern } from "../pattern.ts";

/** A variable that is to remember that something happened is not set where it happens. */
export const flagNotSet: Pattern = {
  id: "flag-not-set",
  name: "A mark that is never set",
  says: "A variable that is to remember that something happened is not set where it happens.",
  mends: "Set it there.",
  fault: true,
  grounds: [],
};
