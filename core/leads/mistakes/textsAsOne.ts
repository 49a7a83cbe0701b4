import { textsBeside } from "../../edits/families/textsBeside.ts";
import { placesOf } from "./byMending.ts";
import type { Mistake } from "./mistake.ts";

/** Two texts beside each other without a comma: one text. */
export const textsAsOne: Mistake = {
  id: "comma-missing",
  weight: 88,
  find: (context) =>
    placesOf(
      textsBeside,
      context,
      1,
      "Two texts stand here beside each other, and are read as one: a comma may be missing.",
    ),
  examples: [{ language: "python", text: 'ports = ["Ness" "Holm"]\nprint(len(ports))\n', line: 1 }],
};
