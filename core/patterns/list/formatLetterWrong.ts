import { byEdit, byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A format says another kind of value, or other digits, than it is given. */
export const formatLetterWrong: Pattern = {
  id: "format-letter-wrong",
  name: "Another letter in a format",
  says: "A format says another kind of value, or other digits, than it is given.",
  mends: "Use the letter of the value's kind.",
  fault: true,
  grounds: [byEdit("format-letter", () => true, 2), byMessage("format mismatch", { more: 2 })],
};
