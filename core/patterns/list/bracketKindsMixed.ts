import { byEdit, putsIn, takesAway } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A bracket is closed by one of another kind, or the wrong kind is used for what is meant. */
export const bracketKindsMixed: Pattern = {
  id: "bracket-kinds-mixed",
  name: "Brackets of two kinds",
  says: "A bracket is closed by one of another kind, or the wrong kind is used for what is meant.",
  mends: "Close each bracket with its own kind.",
  fault: true,
  grounds: [
    byEdit("bracket", (change) => !putsIn(change) && !takesAway(change), 3),
    byEdit("sign", ({ before, after }) => /^[()[\]{}]+$/.test(before) && /^[()[\]{}]+$/.test(after), 3),
  ],
};
