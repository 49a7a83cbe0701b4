import type { Pattern } from "../pattern.ts";

/** A default value that can change is made once and kept from call to call. */
export const defaultShared: Pattern = {
  id: "default-shared",
  name: "One default for all calls",
  says: "A default value that can change is made once and kept from call to call.",
  mends: "Make it in the function.",
  fault: true,
  grounds: [],
};
