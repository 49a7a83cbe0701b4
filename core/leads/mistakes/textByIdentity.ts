import { equalTextsFamily } from "../../edits/families/equalTexts.ts";
import { placesOf } from "./byMending.ts";
import type { Mistake } from "./mistake.ts";

/** Texts compared by where they lie. */
export const textByIdentity: Mistake = {
  id: "text-compared-by-identity",
  weight: 97,
  find: (context) =>
    placesOf(
      equalTextsFamily,
      context,
      2,
      "The sign of equality asks here whether two texts lie in the same place, not whether they say the same.",
    ),
  examples: [
    { language: "java", text: 'class M {\n  boolean f(String s) {\n    return s == "sail";\n  }\n}\n', line: 3 },
  ],
};
