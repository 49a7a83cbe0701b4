import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A name and its value stand side by side without the sign that gives it. */
export const assignmentSignMissing: Pattern = {
  id: "assignment-sign-missing",
  name: "No sign between a name and its value",
  says: "A name and its value stand side by side without the sign that gives it.",
  mends: "Put the sign between them.",
  fault: true,
  grounds: [byEdit("sign", ({ before, after }) => before.trim() === "" && /^\s*:?=\s*$/.test(after), 3)],
};
