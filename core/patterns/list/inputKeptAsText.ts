import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { readsInput } from "../shape.ts";

/** What was typed in is used as a text where a number is meant. */
export const inputKeptAsText: Pattern = {
  id: "input-kept-as-text",
  name: "Typed input stays text",
  says: "What was typed in is used as a text where a number is meant.",
  mends: "Make it a number once it is read.",
  fault: true,
  grounds: [byEdit("conversion", ({ lineAfter, lineBefore }) => readsInput(lineBefore + lineAfter), 4)],
};
