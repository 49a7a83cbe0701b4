import { listsNeverFilled } from "../../edits/neverMoved.ts";
import type { Mistake } from "./mistake.ts";

/** A list that begins empty, and into which nothing is ever put. */
export const listStaysEmpty: Mistake = {
  id: "step-missing",
  weight: 80,
  find: (context) =>
    listsNeverFilled(context).map(({ name, placed }) => ({
      line: context.lineOf(placed.node.from),
      names: [name],
      why: `“${name}” begins empty here, and nothing is ever put into it.`,
    })),
  examples: [
    { language: "python", text: "aboard = []\nfor car in cars:\n    print(car)\nprint(len(aboard))\n", line: 1 },
    {
      language: "java",
      text: "class M {\n  void f(int[] a) {\n    List<Integer> free = new ArrayList<>();\n    for (int x : a) {\n      g(x);\n    }\n    g(free.size());\n  }\n}\n",
      line: 3,
    },
  ],
};
