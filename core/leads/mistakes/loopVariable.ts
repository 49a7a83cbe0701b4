import { namesIn, ofKind } from "../../edits/places.ts";
import { nodesOf, part } from "../../syntax/tree.ts";
import type { Mistake } from "./mistake.ts";

/** A counted loop that tests or moves another name than the one it begins with, or counts away from its limit. */
export const loopVariable: Mistake = {
  id: "loop-tests-wrong-variable",
  weight: 95,
  find: (context) => [
    ...ofKind(context, "for").flatMap(({ node }) => {
      const [start, condition, step] = [part(node, "start"), part(node, "condition"), part(node, "step")];
      if (!start || !condition || !step) return [];
      const given = nodesOf(start).find((each) => each.kind === "assignment");
      const name = given?.children[0]?.sign;
      const line = context.lineOf(node.from);
      if (!name) return [];
      if (!namesIn(condition).includes(name) || !namesIn(step).includes(name))
        return [{ line, why: `The loop begins with “${name}” and tests or moves another name.` }];
      const down = /--|-=/.test(step.sign ?? "");
      const left = part(condition, "left");
      const sign = left?.sign === name ? (condition.sign ?? "") : "";
      if ((down && /^<=?$/.test(sign)) || (!down && /^>=?$/.test(sign) && /\+\+|\+=/.test(step.sign ?? "")))
        return [{ line, why: `“${name}” moves away from where the loop ends.` }];
      return [];
    }),
    ...ofKind(context, "for", "foreach").flatMap(({ node }) => {
      const line = context.lineOf(node.from);
      const source = part(node, "source");
      const start = part(node, "start");
      const [from, to] =
        source?.sign === ":"
          ? [part(source, "left"), part(source, "right")]
          : [start && part(start, "value"), part(node, "limit")];
      const upwards = source?.sign === ":" || /^to$/i.test(node.sign ?? "");
      const toOne = to?.kind === "number" && Number(to.sign) <= 1 && from?.kind === "name";
      const numbers = from?.kind === "number" && to?.kind === "number" && Number(from.sign) > Number(to.sign);
      return upwards && (toOne || numbers)
        ? [{ line, why: "The loop counts upwards to something smaller than it begins with." }]
        : [];
    }),
  ],
  examples: [
    { language: "c", text: "void f(int n) {\n  int i, j;\n  for (j = 0; j < n; i++)\n    g(j);\n}\n", line: 3 },
    {
      language: "java",
      text: "class M {\n  void f(int n) {\n    for (int i = n; i < 1; i--) g(i);\n  }\n}\n",
      line: 3,
    },
    { language: "pascal", text: "begin\n  for i := laps to 1 do writeln(i);\nend.", line: 2 },
    { language: "octave", text: "for i = 9:1\n  disp(i)\nend\n", line: 1 },
  ],
};
