import { byEdit, byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** The sign or word that begins or ends a block is left out, or stands there once too often. */
export const braceMissingOrSurplus: Pattern = {
  id: "brace-missing-or-surplus",
  name: "A block mark missing or too many",
  says: "The sign or word that begins or ends a block is left out, or stands there once too often.",
  mends: "Give every block its beginning and its end, once.",
  fault: true,
  grounds: [
    byEdit("bracket", ({ before, after }) => /[{}]/.test(before + after), 2),
    byEdit("block-end"),
    byMessage("block not closed"),
  ],
};
