import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** What grows over the passes begins with a value that does not fit. */
export const accumulatorStartWrong: Pattern = {
  id: "accumulator-start-wrong",
  name: "A sum or product that begins wrongly",
  says: "What grows over the passes begins with a value that does not fit.",
  mends: "Begin a sum with 0, a product with 1, a largest one with the first element.",
  fault: true,
  grounds: [
    byEdit("start-value", () => true, 2),
    byEdit("accumulation", ({ lineBefore }) => /=\s*[-\d.]+\s*;?$/.test(lineBefore)),
  ],
};
