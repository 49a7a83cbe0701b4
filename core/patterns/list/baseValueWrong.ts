import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A number or text that stands fixed in the program is not the one that is meant. */
export const baseValueWrong: Pattern = {
  id: "base-value-wrong",
  name: "A wrong fixed value",
  says: "A number or text that stands fixed in the program is not the one that is meant.",
  mends: "Write the right one.",
  fault: true,
  grounds: [byEdit("constant", () => true, 1)],
};
