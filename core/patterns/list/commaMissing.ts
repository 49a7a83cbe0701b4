import { byEdit, byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** Two values of a list or a call have no comma between them. */
export const commaMissing: Pattern = {
  id: "comma-missing",
  name: "A comma that is missing",
  says: "Two values of a list or a call have no comma between them.",
  mends: "Put it there.",
  fault: true,
  grounds: [
    byEdit("sign", ({ before, after }) => before.trim() === "" && after.trim() === ",", 4),
    byMessage("sign missing", { words: /comma/i, more: 3 }),
  ],
};
