import { byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** The program itself ends the run where something is not as it should be. That is no fault. */
export const stopsOnPurpose: Pattern = {
  id: "stops-on-purpose",
  name: "It stops on purpose",
  says: "The program itself ends the run where something is not as it should be. That is no fault.",
  mends: "Nothing is to be mended.",
  fault: false,
  grounds: [byMessage("raised on purpose", { more: 4 })],
};
