import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A function changes its own copy of what it was given, and the caller's stays. */
export const valueParameterChanged: Pattern = {
  id: "value-parameter-changed",
  name: "A copy that is changed",
  says: "A function changes its own copy of what it was given, and the caller's stays.",
  mends: "Give the new value back, or hand on the place.",
  fault: true,
  grounds: [byEdit("declaration", ({ after }) => /\bvar\b|\*|&|\bref\b/.test(after), 3)],
};
