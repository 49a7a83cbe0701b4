import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A case is not left at its end. */
export const caseFallsThrough: Pattern = {
  id: "case-falls-through",
  name: "A case that goes on into the next",
  says: "A case is not left at its end.",
  mends: "Leave it there.",
  fault: true,
  grounds: [byEdit("leaving", ({ after }) => /break/.test(after), 2)],
};
