import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A loop counts up where it is to count down, or down where it is to count up. */
export const loopDirectionWrong: Pattern = {
  id: "loop-direction-wrong",
  name: "A loop that counts the wrong way",
  says: "A loop counts up where it is to count down, or down where it is to count up.",
  mends: "Turn it.",
  fault: true,
  grounds: [byEdit("direction", () => true, 2)],
};
