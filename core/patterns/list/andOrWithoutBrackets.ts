import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** And takes hold before or, and the condition means something else than it says. */
export const andOrWithoutBrackets: Pattern = {
  id: "and-or-without-brackets",
  name: "And and or without brackets",
  says: "And takes hold before or, and the condition means something else than it says.",
  mends: "Put brackets around what belongs together.",
  fault: true,
  grounds: [byEdit("formula-brackets", ({ lineBefore }) => /\b(?:and|or)\b|&&|\|\|/.test(lineBefore), 4)],
};
