import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A function gives its result back inside of the loop, after the first pass. */
export const returnInsideLoop: Pattern = {
  id: "return-inside-loop",
  name: "Left in the first pass",
  says: "A function gives its result back inside of the loop, after the first pass.",
  mends: "Give it back behind the loop.",
  fault: true,
  grounds: [byEdit(["moved", "indentation"], ({ lineBefore }) => /^\s*return\b/m.test(lineBefore), 6)],
};
