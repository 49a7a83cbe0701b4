import { emptyBody } from "../../edits/families/emptyBody.ts";
import { placesOf } from "./byMending.ts";
import type { Mistake } from "./mistake.ts";

/** `for (...);` */
export const headerEnded: Mistake = {
  id: "semicolon-after-header",
  weight: 98,
  find: (context) => placesOf(emptyBody, context, 1, "The sign at its end makes the body of this line empty."),
  examples: [
    { language: "c", text: "void f(int n) {\n  while (n > 3);\n    n--;\n}\n", line: 2 },
    { language: "pascal", text: "begin\n  for i := 1 to 3 do;\n    s := s + i;\nend.", line: 2 },
  ],
};
