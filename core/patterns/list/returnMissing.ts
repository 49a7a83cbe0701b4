import { byEdit, byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A function works its result out and does not give it back, on some way or on all. */
export const returnMissing: Pattern = {
  id: "return-missing",
  name: "A result that is not given back",
  says: "A function works its result out and does not give it back, on some way or on all.",
  mends: "Give it back on every way.",
  fault: true,
  grounds: [byEdit("returned", () => true, 3), byMessage("return missing", { more: 4 })],
};
