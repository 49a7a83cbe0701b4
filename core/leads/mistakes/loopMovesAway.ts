import { ofKind } from "../../edits/places.ts";
import { nodesOf, part } from "../../syntax/tree.ts";
import type { Mistake } from "./mistake.ts";

/** A loop with three parts whose name moves away from what its condition asks: it makes no pass, or never ends. */
export const loopMovesAway: Mistake = {
  id: "loop-moves-away",
  weight: 95,
  find: (context) =>
    ofKind(context, "for").flatMap(({ node }) => {
      const [start, condition, step] = [part(node, "start"), part(node, "condition"), part(node, "step")];
      if (!start || !condition || !step) return [];
      const name = nodesOf(start).find((each) => each.kind === "assignment")?.children[0]?.sign;
      const left = part(condition, "left");
      if (!name || left?.sign !== name) return [];
      const sign = condition.sign ?? "";
      const [down, up] = [/--|-=/.test(step.sign ?? ""), /\+\+|\+=/.test(step.sign ?? "")];
      return (down && /^<=?$/.test(sign)) || (up && /^>=?$/.test(sign))
        ? [{ line: context.lineOf(node.from), why: `“${name}” moves away from where the loop ends.` }]
        : [];
    }),
  examples: [
    {
      language: "java",
      text: "class M {\n  void f(int n) {\n    for (int i = n; i < 1; i--) g(i);\n  }\n}\n",
      line: 3,
    },
    { language: "c", text: "void f(int n) {\n  for (int i = 0; i > n; i++)\n    g(i);\n}\n", line: 2 },
  ],
};
