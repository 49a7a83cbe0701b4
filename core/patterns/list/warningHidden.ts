import type { Pattern } from "../pattern.ts";

/** A warning is switched off, so that it cannot say what it saw. That is no fault by itself. */
export const warningHidden: Pattern = {
  id: "warning-hidden",
  name: "A warning that is hidden",
  says: "A warning is switched off, so that it cannot say what it saw. That is no fault by itself.",
  mends: "Switch it on again.",
  fault: false,
  grounds: [],
};
