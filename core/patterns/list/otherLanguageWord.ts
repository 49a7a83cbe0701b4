import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { isOther } from "../shape.ts";

/** A word or sign stands there that another language has and this one has not. */
export const otherLanguageWord: Pattern = {
  id: "other-language-word",
  name: "A word of another language",
  says: "A word or sign stands there that another language has and this one has not.",
  mends: "Use this language's own.",
  fault: true,
  grounds: [
    byEdit(["word", "sign", "logic-word"], ({ before }) => isOther(before), 5),
    byEdit(
      "word",
      ({ lineBefore, lineAfter }) =>
        /else\s*if|&&|\|\||\+\+/.test(lineBefore) && !/else\s*if|&&|\|\||\+\+/.test(lineAfter),
      5,
    ),
  ],
};
