import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** Decisions that are to exclude each other are asked one after the other, and a later one wins. */
export const laterIfOverrides: Pattern = {
  id: "later-if-overrides",
  name: "A later decision that overrides",
  says: "Decisions that are to exclude each other are asked one after the other, and a later one wins.",
  mends: "Ask the later ones only where the earlier ones failed.",
  fault: true,
  grounds: [byEdit("chain", () => true, 3)],
};
