import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A method changes its object and gives nothing back, and its result is used. */
export const inPlaceResultUsed: Pattern = {
  id: "in-place-result-used",
  name: "The result of what changes in place",
  says: "A method changes its object and gives nothing back, and its result is used.",
  mends: "Use the object itself.",
  fault: true,
  grounds: [
    byEdit(
      "result-thrown-away",
      ({ lineBefore }) => /=.*\.(?:sort|append|reverse|add|push|insert|extend)\(/.test(lineBefore),
      6,
    ),
  ],
};
