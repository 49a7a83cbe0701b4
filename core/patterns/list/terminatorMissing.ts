import { byEdit, byMessage, putsIn } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A statement is not ended as the language asks, so the next line is read as part of it. */
export const terminatorMissing: Pattern = {
  id: "terminator-missing",
  name: "The sign that ends a statement",
  says: "A statement is not ended as the language asks, so the next line is read as part of it.",
  mends: "End the statement.",
  fault: true,
  grounds: [byEdit("terminator", putsIn, 2), byMessage("sign missing", { words: /['"‘];['"’]/, more: 2 })],
};
