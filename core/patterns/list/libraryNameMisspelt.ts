import { byEdit, byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { isMember, isOwn } from "../shape.ts";

/** A function or module that comes with the language is misspelt or written in another letter case. */
export const libraryNameMisspelt: Pattern = {
  id: "library-name-misspelt",
  name: "A name of the library misspelt",
  says: "A function or module that comes with the language is misspelt or written in another letter case.",
  mends: "Write it as the library has it.",
  fault: true,
  grounds: [
    byEdit("name", (change, evidence) => !isOwn(change, evidence) && !isMember(change), 1),
    byMessage("unknown name", { words: /did you mean/i }),
  ],
};
