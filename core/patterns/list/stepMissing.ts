import type { Pattern } from "../pattern.ts";

/** Something that must be done is done nowhere. */
export const stepMissing: Pattern = {
  id: "step-missing",
  name: "A step that is missing",
  says: "Something that must be done is done nowhere.",
  mends: "Write it.",
  fault: true,
  grounds: [],
};
