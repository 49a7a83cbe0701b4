import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A name is written in another letter case than where it was made. */
export const nameLetterCase: Pattern = {
  id: "name-letter-case",
  name: "One name in two letter cases",
  says: "A name is written in another letter case than where it was made.",
  mends: "Write it the same everywhere.",
  fault: true,
  grounds: [
    byEdit(
      "name",
      ({ lineBefore, lineAfter }) => lineBefore !== lineAfter && lineBefore.toLowerCase() === lineAfter.toLowerCase(),
      6,
    ),
  ],
};
