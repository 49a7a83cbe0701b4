import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** Two texts are compared by identity and not by their letters. */
export const textComparedByIdentity: Pattern = {
  id: "text-compared-by-identity",
  name: "Texts compared by where they lie",
  says: "Two texts are compared by identity and not by their letters.",
  mends: "Compare what they say.",
  fault: true,
  grounds: [byEdit("equal-texts", () => true, 5)],
};
