import { byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** Two arrays of different shapes are put together. */
export const shapesDoNotFit: Pattern = {
  id: "shapes-do-not-fit",
  name: "Shapes that do not fit",
  says: "Two arrays of different shapes are put together.",
  mends: "Give them the same shape.",
  fault: true,
  grounds: [byMessage(["type mismatch", "wrong arguments", "value not allowed"], { words: /nonconformant/i, more: 6 })],
};
