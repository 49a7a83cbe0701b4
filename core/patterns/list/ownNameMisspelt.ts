import { byEdit, byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { isMember, isOwn } from "../shape.ts";

/** A name of the program is written in another way than where it was made. */
export const ownNameMisspelt: Pattern = {
  id: "own-name-misspelt",
  name: "A name of one's own misspelt",
  says: "A name of the program is written in another way than where it was made.",
  mends: "Write it as it was made.",
  fault: true,
  grounds: [
    byEdit("name", (change, evidence) => isOwn(change, evidence) && !isMember(change), 4),
    byMessage("unknown name", { more: 1 }),
  ],
};
