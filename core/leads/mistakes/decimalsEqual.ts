import { decimalsCompared } from "../../edits/decimals.ts";
import { part } from "../../syntax/tree.ts";
import type { Mistake } from "./mistake.ts";

/** Decimals are asked whether they are exactly the same. */
export const decimalsEqual: Mistake = {
  id: "decimal-compared-exactly",
  weight: 84,
  find: (context) =>
    decimalsCompared(context).map((node) => ({
      line: context.lineOf(node.from),
      names: [part(node, "left"), part(node, "right")].flatMap((side) =>
        side?.kind === "name" ? [side.sign ?? ""] : [],
      ),
      why: "Two decimals are compared exactly here; worked out in two ways they differ in their last digits.",
    })),
  examples: [
    { language: "python", text: "need = 0.1 + 0.2\nif height == need:\n    open()\n", line: 2 },
    { language: "java", text: "class M {\n  boolean f(double a, double b) {\n    return a == b;\n  }\n}\n", line: 3 },
    {
      language: "python",
      text: "def f(height, need):\n    return height == need\n\nprint(f(1, 0.1 + 0.2))\n",
      line: 2,
    },
  ],
};
