import type { Pattern } from "../pattern.ts";

/** A value is made the kind that it has already. That is no fault by itself. */
export const convertedTwice: Pattern = {
  id: "converted-twice",
  name: "Made another kind twice",
  says: "A value is made the kind that it has already. That is no fault by itself.",
  mends: "Do it once.",
  fault: false,
  grounds: [],
};
