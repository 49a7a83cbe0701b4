import { marksNeverSet } from "../../edits/prepared.ts";
import type { Mistake } from "./mistake.ts";

/** A mark that decisions ask for and that nothing ever sets. */
export const markNeverSet: Mistake = {
  id: "flag-not-set",
  weight: 94,
  find: (context) =>
    marksNeverSet(context).map(({ name, decision }) => ({
      line: context.lineOf(decision.from),
      names: [name],
      why: `“${name}” is asked for here, and nothing ever sets it.`,
    })),
  examples: [
    {
      language: "c",
      text: "int f(const char *t) {\n  int inside = 0;\n  int n = 0;\n  for (int i = 0; t[i]; i++) {\n    if (t[i] == 32) {\n      inside = 0;\n    } else if (!inside) {\n      n++;\n    }\n  }\n  return n;\n}\n",
      line: 7,
    },
    {
      language: "python",
      text: "late = False\nfor wait in [3, 9]:\n    if wait > 5 and not late:\n        print(wait)\n",
      line: 3,
    },
  ],
};
