import { namesIn, ofKind } from "../../edits/places.ts";
import { isLoop, nodesOf, part } from "../../syntax/tree.ts";
import type { Mistake } from "./mistake.ts";

const empty = /^(-?\d+(\.\d+)?|""|''|\[\]|\{\}|0\.0)$/;

/** A sum or a count that begins anew in every pass. */
export const restartInLoop: Mistake = {
  id: "restart-inside-loop",
  weight: 93,
  find: (context) =>
    ofKind(context, "for", "foreach", "while", "do").flatMap(({ node, around }) => {
      const body = part(node, "body");
      const [first] = body?.kind === "block" ? body.children : [];
      const always = first?.kind === "statement" || first?.kind === "declaration" || first?.kind === "assignment";
      const given = always ? nodesOf(first).find((each) => each.kind === "assignment") : undefined;
      const target = given?.children[0];
      const value = given && part(given, "value");
      if (!body || !first || !given || !target || !value || !empty.test(context.sourceOf(value))) return [];
      const name = context.sourceOf(target);
      // What the loop itself waits for may well be set back in it.
      const condition = part(node, "condition");
      if (condition && namesIn(condition).includes(name)) return [];
      const rest = body.children.slice(1).flatMap(nodesOf);
      const inner = body.children
        .slice(1)
        .some(
          (each) =>
            isLoop(each) &&
            nodesOf(each).some(
              (one) => one.kind === "assignment" && one.children[0] && context.sourceOf(one.children[0]) === name,
            ),
        );
      const adds = rest.some(
        (each) =>
          each.kind === "assignment" &&
          each.children[0] &&
          context.sourceOf(each.children[0]) === name &&
          (/^[-+*]=|\+\+|--$/.test(each.sign ?? "") || namesIn(each).filter((one) => one === name).length > 0),
      );
      const parent = around.at(-1);
      const after =
        parent?.children.slice(parent.children.indexOf(node) + 1).some((each) => namesIn(each).includes(name)) ?? false;
      const insideAgain = nodesOf(node).some((each) => isLoop(each) && each !== node);
      if (!adds || (inner && !after && insideAgain)) return [];
      if (!after && !adds) return [];
      return [{ line: context.lineOf(first.from), why: `“${name}” begins anew here in every pass of the loop.` }];
    }),
  examples: [
    { language: "python", text: "for x in a:\n    total = 0\n    total += x\nprint(total)\n", line: 2 },
    {
      language: "java",
      text: "class M {\n  void f(int[] a) {\n    for (int x : a) {\n      int s = 0;\n      s += x;\n    }\n  }\n}\n",
      line: 4,
    },
  ],
};
