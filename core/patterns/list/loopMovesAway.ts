import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** What the condition waits for moves away from the value that would end the loop. */
export const loopMovesAway: Pattern = {
  id: "loop-moves-away",
  name: "A loop that goes away from its goal",
  says: "What the condition waits for moves away from the value that would end the loop.",
  mends: "Let it move towards it.",
  fault: true,
  grounds: [
    byEdit(
      ["direction", "arithmetic"],
      ({ before, after }, { message }) => /[-+]/.test(before) && /[-+]/.test(after) && message === null,
    ),
  ],
};
