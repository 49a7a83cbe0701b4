import { byEdit, takesAway } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** An inner variable has the name of an outer one, which stays as it was. */
export const variableShadowed: Pattern = {
  id: "variable-shadowed",
  name: "A second variable of one name",
  says: "An inner variable has the name of an outer one, which stays as it was.",
  mends: "Give it another name, or do not make a new one.",
  fault: true,
  grounds: [byEdit("declaration", (change, { class: of }) => takesAway(change) && of === "logic", 5)],
};
