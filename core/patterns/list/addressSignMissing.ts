import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A read is given the value of a variable in the place of its address. */
export const addressSignMissing: Pattern = {
  id: "address-sign-missing",
  name: "No address for what is read",
  says: "A read is given the value of a variable in the place of its address.",
  mends: "Give the address.",
  fault: true,
  grounds: [byEdit("address-sign", () => true, 4)],
};
