import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** Multiplication is written as on paper: with an x, or with nothing between. */
export const letterForMultiplication: Pattern = {
  id: "letter-for-multiplication",
  name: "A letter or nothing for times",
  says: "Multiplication is written as on paper: with an x, or with nothing between.",
  mends: "Write the language's own sign for times.",
  fault: true,
  grounds: [
    byEdit("sign", ({ before, after }) => after.trim() === "*" && /^\s*[xX×]?\s*$/.test(before), 3),
    byEdit("sign", ({ after }) => /^\s*\*\s*$/.test(after)),
  ],
};
