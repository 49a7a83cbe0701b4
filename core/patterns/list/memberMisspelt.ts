import { byEdit, byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { isMember } from "../shape.ts";

/** An object is asked for a method or field under a name that it has not. */
export const memberMisspelt: Pattern = {
  id: "member-misspelt",
  name: "A part of an object misspelt",
  says: "An object is asked for a method or field under a name that it has not.",
  mends: "Use the name that the object's kind has.",
  fault: true,
  grounds: [byEdit("name", (change) => isMember(change), 4), byMessage("unknown member", { more: 2 })],
};
