import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { isOther } from "../shape.ts";

/** A word of the language is misspelt, written in another letter case or left out. */
export const keywordMisspelt: Pattern = {
  id: "keyword-misspelt",
  name: "A word of the language misspelt",
  says: "A word of the language is misspelt, written in another letter case or left out.",
  mends: "Write the word as the language has it.",
  fault: true,
  grounds: [byEdit("word", ({ before, lineAfter }) => !isOther(before) && !/else\s+if/.test(lineAfter), 1)],
};
