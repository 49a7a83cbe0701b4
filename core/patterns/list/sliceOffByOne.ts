import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A piece of a list or text has one element too many or too few. */
export const sliceOffByOne: Pattern = {
  id: "slice-off-by-one",
  name: "A slice one off",
  says: "A piece of a list or text has one element too many or too few.",
  mends: "Look at whether its end belongs to it.",
  fault: true,
  grounds: [
    byEdit(
      ["by-one", "constant"],
      ({ lineBefore }) => /\[[^\]]*:[^\]]*\]|substring|substr|Copy\(/i.test(lineBefore),
      4,
    ),
  ],
};
