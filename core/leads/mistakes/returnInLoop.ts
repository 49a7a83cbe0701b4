import { loopAround, ofKind } from "../../edits/places.ts";
import { isLoop, part, type SyntaxNode } from "../../syntax/tree.ts";
import type { Mistake } from "./mistake.ts";

/** True if a piece gives back in every case. */
function always(node: SyntaxNode | undefined): boolean {
  if (!node) return false;
  if (node.kind === "return") return true;
  if (node.kind === "block") return always(node.children.at(-1));
  if (node.kind === "if") return always(part(node, "body")) && always(part(node, "otherwise"));
  return false;
}

/** A loop that ends in its first pass since its function gives back there. */
export const returnInLoop: Mistake = {
  id: "return-inside-loop",
  weight: 95,
  find: (context) => [
    ...ofKind(context, "for", "foreach", "while").flatMap(({ node }) => {
      const body = part(node, "body");
      const last = body?.kind === "block" ? body.children.at(-1) : body;
      if (!last || !isLoop(node) || !always(last)) return [];
      let place = last;
      if (last.kind === "if") place = part(last, "otherwise") ?? last;
      const inner = place.kind === "block" ? place.children.at(-1) : place;
      return [
        {
          line: context.lineOf((inner ?? place).from),
          why: "The function gives back here in the first pass of the loop: it never goes round.",
        },
      ];
    }),
    // The function's result is given to another name before the loop is over.
    ...ofKind(context, "return").flatMap(({ node, around }) =>
      loopAround(around) &&
      around.at(-1)?.children.length === 1 &&
      around.at(-1)?.role === "otherwise" &&
      around.at(-2)?.kind === "if"
        ? [
            {
              line: context.lineOf(node.from),
              why: "The first one that does not fit decides here, although others may come.",
            },
          ]
        : [],
    ),
  ],
  examples: [
    { language: "python", text: "def f(a):\n    for x in a:\n        y = x\n        return y\n", line: 4 },
    {
      language: "python",
      text: "def f(a, b):\n    for x in a:\n        if x == b:\n            return True\n        else:\n            return False\n",
      line: 6,
    },
    {
      language: "java",
      text: "class M {\n  int f(int[] a) {\n    int s = 0;\n    for (int x : a) {\n      s += x;\n      return s;\n    }\n    return s;\n  }\n}\n",
      line: 6,
    },
  ],
};
