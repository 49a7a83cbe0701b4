import { byEdit, byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A name, or the library it comes from, is used and made known nowhere. */
export const nameNeverDefined: Pattern = {
  id: "name-never-defined",
  name: "A name that nobody made",
  says: "A name, or the library it comes from, is used and made known nowhere.",
  mends: "Define or import it, or use the one that is meant.",
  fault: true,
  grounds: [byEdit("inclusion"), byMessage("unknown name"), byMessage("not linked")],
};
