import { byEdit, byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A round, square or curly bracket of an expression is opened and not closed, or closed once too often. */
export const bracketNotClosed: Pattern = {
  id: "bracket-not-closed",
  name: "A bracket that is not closed",
  says: "A round, square or curly bracket of an expression is opened and not closed, or closed once too often.",
  mends: "Give every bracket its partner.",
  fault: true,
  grounds: [byEdit("bracket", ({ before, after }) => /^[^{}]*$/.test(before + after)), byMessage("bracket not closed")],
};
