import { byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** Something outside of the program was not as it must be: a device, a network, a right, the memory. */
export const surroundingsFailed: Pattern = {
  id: "surroundings-failed",
  name: "The surroundings failed",
  says: "Something outside of the program was not as it must be: a device, a network, a right, the memory.",
  mends: "Handle that it can fail.",
  fault: true,
  grounds: [byMessage("memory exhausted", { more: 4 })],
};
