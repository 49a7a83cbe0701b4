import { countsNeverMoved } from "../../edits/neverMoved.ts";
import type { Mistake } from "./mistake.ts";

/** A count that begins with 0, is told in the end, and is never moved between. */
export const countStays: Mistake = {
  id: "step-missing",
  weight: 66,
  find: (context) =>
    countsNeverMoved(context).map(({ name, placed }) => ({
      line: context.lineOf(placed.node.from),
      names: [name],
      why: `“${name}” begins with 0 here, and nothing ever counts it up.`,
    })),
  examples: [
    {
      language: "python",
      text: "late = 0\nfor delay in delays:\n    if delay > 5:\n        print(delay)\nprint(late)\n",
      line: 1,
    },
  ],
};
