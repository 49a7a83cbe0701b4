import type { Pattern } from "../pattern.ts";

/** A length or an element is asked for in the wrong direction of an array. */
export const dimensionWrong: Pattern = {
  id: "dimension-wrong",
  name: "The other dimension",
  says: "A length or an element is asked for in the wrong direction of an array.",
  mends: "Ask for the one that is meant.",
  fault: true,
  grounds: [],
};
