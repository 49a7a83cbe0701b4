import type { Pattern } from "../pattern.ts";

/** The translator warns that a variable may hold no object. That is no fault by itself. */
export const referencePerhapsEmpty: Pattern = {
  id: "reference-perhaps-empty",
  name: "Perhaps nothing there",
  says: "The translator warns that a variable may hold no object. That is no fault by itself.",
  mends: "Ask whether it is there.",
  fault: false,
  grounds: [],
};
