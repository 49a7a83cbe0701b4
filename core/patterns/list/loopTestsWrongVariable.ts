import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** The condition of a loop asks for a variable that is not the one that moves. */
export const loopTestsWrongVariable: Pattern = {
  id: "loop-tests-wrong-variable",
  name: "A loop that asks another variable",
  says: "The condition of a loop asks for a variable that is not the one that moves.",
  mends: "Ask for the one that moves.",
  fault: true,
  grounds: [byEdit("other-name", ({ lineBefore }) => /^\s*(?:while|for|until)\b/i.test(lineBefore), 3)],
};
