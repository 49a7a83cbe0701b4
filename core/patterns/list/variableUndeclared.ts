import { byEdit, byMessage, putsIn } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A variable is used and nowhere declared, where the language asks for it. */
export const variableUndeclared: Pattern = {
  id: "variable-undeclared",
  name: "A variable that is not declared",
  says: "A variable is used and nowhere declared, where the language asks for it.",
  mends: "Declare it before it is used.",
  fault: true,
  grounds: [
    byEdit("declaration", (change) => putsIn(change), 1),
    byMessage("unknown name", { of: "syntax" }),
    byEdit("declaration", () => true, -5),
  ],
};
