import { uncalled } from "../../edits/prepared.ts";
import type { Mistake } from "./mistake.ts";

/** A function that nothing calls. */
export const neverCalled: Mistake = {
  id: "step-missing",
  weight: 70,
  find: (context) =>
    uncalled(context).map(({ node }) => {
      const name = node.children.find((child) => child.role === "definition");
      return {
        line: context.lineOf(name?.from ?? node.from),
        names: [name?.sign ?? ""],
        why: `Nothing calls “${name?.sign}”.`,
      };
    }),
  examples: [{ language: "python", text: "def sort_them(a):\n    a.sort()\nprint([2, 1])\n", line: 1 }],
};
