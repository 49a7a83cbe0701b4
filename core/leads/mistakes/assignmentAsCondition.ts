import { equalitySign } from "../../edits/families/equalitySign.ts";
import { placesOf } from "./byMending.ts";
import type { Mistake } from "./mistake.ts";

/** `if (a = 3)`, or `a == 3` as a statement. */
export const assignmentAsCondition: Mistake = {
  id: "comparison-for-assignment",
  weight: 97,
  find: (context) =>
    placesOf(equalitySign, context, 1, "A value is given where one is compared, or compared where one is given."),
  examples: [
    { language: "c", text: "void f(int a) {\n  if (a = 3) g();\n}\n", line: 2 },
    { language: "python", text: "a = 1\na == 3\n", line: 2 },
  ],
};
