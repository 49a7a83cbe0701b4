import { byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** No call comes to an end without calling itself again. */
export const recursionWithoutEnd: Pattern = {
  id: "recursion-without-end",
  name: "A function that calls itself for ever",
  says: "No call comes to an end without calling itself again.",
  mends: "Write the case that ends it, and come nearer to it with every call.",
  fault: true,
  grounds: [byMessage("stack exhausted", { more: 25 })],
};
