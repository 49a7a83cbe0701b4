import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** What is printed differs from what is asked for by letters, blanks or signs. */
export const textMisspelt: Pattern = {
  id: "text-misspelt",
  name: "A text that is misspelt",
  says: "What is printed differs from what is asked for by letters, blanks or signs.",
  mends: "Write it as it is asked for.",
  fault: true,
  grounds: [byEdit("text-literal", () => true, 3), byEdit("printing")],
};
