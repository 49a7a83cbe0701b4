import { byEdit, byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** Elements are taken out or put in while a loop goes over the same list. */
export const listChangedWhileWalked: Pattern = {
  id: "list-changed-while-walked",
  name: "A list changed while it is walked",
  says: "Elements are taken out or put in while a loop goes over the same list.",
  mends: "Go over a copy, or build another list.",
  fault: true,
  grounds: [
    byEdit("copied", ({ lineBefore }) => /^\s*for/.test(lineBefore), 4),
    byMessage("changed while looping", { more: 4 }),
  ],
};
