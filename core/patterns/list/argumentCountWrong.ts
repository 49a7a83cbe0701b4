import { byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A function is given more or fewer values than it takes. */
export const argumentCountWrong: Pattern = {
  id: "argument-count-wrong",
  name: "Too many or too few values for a call",
  says: "A function is given more or fewer values than it takes.",
  mends: "Give it what it asks for.",
  fault: true,
  grounds: [byMessage("wrong arguments", { more: 2 })],
};
