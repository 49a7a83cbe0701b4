import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** Operators take hold of their neighbours in another order than is meant. */
export const formulaBracketsMissing: Pattern = {
  id: "formula-brackets-missing",
  name: "A formula without its brackets",
  says: "Operators take hold of their neighbours in another order than is meant.",
  mends: "Put brackets around what is worked out first.",
  fault: true,
  grounds: [byEdit("formula-brackets", () => true, 2)],
};
