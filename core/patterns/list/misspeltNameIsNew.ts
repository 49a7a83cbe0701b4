import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A name is misspelt where a value is given, and the language makes another variable of it. */
export const misspeltNameIsNew: Pattern = {
  id: "misspelt-name-is-new",
  name: "A misspelt name that makes a new variable",
  says: "A name is misspelt where a value is given, and the language makes another variable of it.",
  mends: "Write the name as it is elsewhere.",
  fault: true,
  grounds: [byEdit("name", (_, { class: of }) => of === "logic", 7)],
};
