import { namesIn, ofKind } from "../../edits/places.ts";
import { nodesOf, part } from "../../syntax/tree.ts";
import type { Mistake } from "./mistake.ts";

/** A counted loop that tests or moves another name than the one it begins with. */
export const loopVariable: Mistake = {
  id: "loop-tests-wrong-variable",
  weight: 95,
  find: (context) =>
    ofKind(context, "for").flatMap(({ node }) => {
      const [start, condition, step] = [part(node, "start"), part(node, "condition"), part(node, "step")];
      if (!start || !condition || !step) return [];
      const given = nodesOf(start).find((each) => each.kind === "assignment");
      const name = given?.children[0]?.sign;
      const line = context.lineOf(node.from);
      if (!name) return [];
      if (!namesIn(condition).includes(name) || !namesIn(step).includes(name))
        return [{ line, why: `The loop begins with “${name}” and tests or moves another name.` }];
      return [];
    }),
  examples: [
    { language: "c", text: "void f(int n) {\n  int i, j;\n  for (j = 0; j < n; i++)\n    g(j);\n}\n", line: 3 },
  ],
};
