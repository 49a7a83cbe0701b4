import { byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A function is given a value for which it is not defined, such as the root of a negative number. */
export const argumentOutsideDomain: Pattern = {
  id: "argument-outside-domain",
  name: "A value outside of what a function takes",
  says: "A function is given a value for which it is not defined, such as the root of a negative number.",
  mends: "Look at the value before the call.",
  fault: true,
  grounds: [byMessage("value not allowed", { more: 2 })],
};
