import { ofKind } from "../../edits/places.ts";
import { part } from "../../syntax/tree.ts";
import type { Mistake } from "./mistake.ts";

/** `a + b / 2`, `new - old / old * 100`: only the last one is divided. */
export const sumBeforeDivision: Mistake = {
  id: "formula-brackets-missing",
  weight: 88,
  find: (context) =>
    ofKind(context, "binary").flatMap(({ node, around }) => {
      const [left, right] = [part(node, "left"), part(node, "right")];
      if (
        (node.sign !== "+" && node.sign !== "-") ||
        around.at(-1)?.kind === "binary" ||
        !left ||
        right?.kind !== "binary"
      )
        return [];
      const divides = /^(\/|\/\/|div)$/i;
      const inner = part(right, "left");
      const divided =
        divides.test(right.sign ?? "") ||
        (right.sign === "*" && inner?.kind === "binary" && divides.test(inner.sign ?? ""));
      const plainLeft = left.kind === "name" || (left.kind === "binary" && /^[-+]$/.test(left.sign ?? ""));
      if (!divided || !plainLeft) return [];
      return [
        {
          line: context.lineOf(node.from),
          why: "Only what stands last is divided here: a sum is divided as a whole only in brackets.",
        },
      ];
    }),
  examples: [
    { language: "python", text: "share = new - old / old * 100\n", line: 1 },
    { language: "c", text: "double f(double a, double b) {\n  return a + b / 2;\n}\n", line: 2 },
  ],
};
