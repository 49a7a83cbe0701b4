import { stepsInBranches } from "../../edits/stepsInBranches.ts";
import type { Mistake } from "./mistake.ts";

/** What a loop waits for is given right before the loop and again only where a decision at its end holds. */
export const readInBranch: Mistake = {
  id: "step-in-branch",
  weight: 94,
  find: (context) =>
    stepsInBranches(context).map(({ name, decision, statement }) => ({
      line: context.lineOf(statement.from),
      names: [name],
      why: `“${name}” moves on only where the condition of line ${context.lineOf(decision.from)} holds; the loop waits for it in every pass.`,
    })),
  examples: [
    {
      language: "python",
      text: 'line = input()\nwhile line != "end":\n    placed = moor(line)\n    if not placed:\n        waiting.append(line)\n        line = input()\n',
      line: 6,
    },
    {
      language: "c",
      text: "void f(void) {\n  int n = next();\n  while (n > 0) {\n    sum += n;\n    if (n > 9) {\n      big++;\n      n = next();\n    }\n  }\n}\n",
      line: 7,
    },
  ],
};
