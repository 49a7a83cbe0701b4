import { comparisonLeftOut } from "../../edits/families/comparisonLeftOut.ts";
import { placesOf } from "./byMending.ts";
import type { Mistake } from "./mistake.ts";

/** `x == "y" or "Y"`: the second value is a condition of its own. */
export const comparisonWithNothing: Mistake = {
  id: "range-test-on-text",
  weight: 96,
  find: (context) =>
    placesOf(
      comparisonLeftOut,
      context,
      1,
      "The value behind “or” or “and” is compared with nothing: it is a condition of its own.",
    ),
  examples: [
    { language: "python", text: 'a = input()\nif a == "y" or "Y":\n    print(1)\n', line: 2 },
    { language: "c", text: "int f(int a) {\n  if (a == 1 || 2) return 1;\n  return 0;\n}\n", line: 2 },
  ],
};
