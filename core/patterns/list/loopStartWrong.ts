import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { isStart } from "../shape.ts";

/** The first pass comes too early or too late. */
export const loopStartWrong: Pattern = {
  id: "loop-start-wrong",
  name: "A loop that begins at the wrong value",
  says: "The first pass comes too early or too late.",
  mends: "Begin with the first one that is meant.",
  fault: true,
  grounds: [
    byEdit(
      ["by-one", "start-value", "constant"],
      ({ lineBefore }) => /^\s*(?:for\b|FOR\b)/.test(lineBefore) && isStart(lineBefore),
      3,
    ),
  ],
};
