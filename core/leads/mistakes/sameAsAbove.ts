import { sameElements } from "../../edits/sameElements.ts";
import type { Mistake } from "./mistake.ts";

/** Two names that get the same element by lines right below each other: the second line was copied and not changed. */
export const sameAsAbove: Mistake = {
  id: "copied-line-same-element",
  weight: 93,
  find: (context) =>
    sameElements(context).map(({ statement, targets: [above, below] }) => ({
      line: context.lineOf(statement.from),
      why: `“${context.sourceOf(below)}” gets the same element as “${context.sourceOf(above)}” in the line above.`,
    })),
  examples: [
    { language: "python", text: "hour = int(parts[0])\nminute = int(parts[0])\n", line: 2 },
    {
      language: "java",
      text: "class M {\n  void f(String[] p) {\n    int wind = Integer.parseInt(p[0]);\n    int wave = Integer.parseInt(p[0]);\n  }\n}\n",
      line: 4,
    },
  ],
};
