import { byEdit, byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A decimal value is given to a variable for whole numbers and loses its fraction. */
export const fractionIntoWholeNumber: Pattern = {
  id: "fraction-into-whole-number",
  name: "A fraction put into a whole number",
  says: "A decimal value is given to a variable for whole numbers and loses its fraction.",
  mends: "Use a decimal type, or round on purpose.",
  fault: true,
  grounds: [
    byMessage("precision lost", { more: 3 }),
    byEdit("declaration", ({ before, after }) => /int/i.test(before) && /double|float|real/i.test(after), 3),
  ],
};
