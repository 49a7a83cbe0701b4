import { calledName, functionsWithoutResult, nameOfFunction, ofKind } from "../../edits/places.ts";
import { nodesOf, part } from "../../syntax/tree.ts";
import type { Mistake } from "./mistake.ts";

/** A function whose value is used and that gives none back. */
export const nothingGivenBack: Mistake = {
  id: "return-missing",
  weight: 108,
  find: (context) => {
    const byName = functionsWithoutResult(context).map(({ name, last }) => ({
      line: context.lineOf(Math.max(last.from, last.to - 1)),
      why: `“${name}” is given no value in this function: nothing comes back from it.`,
    }));
    if (!context.writing.givesNothing) return byName;
    const used = new Set(
      context.nodes.flatMap(({ node, around }) =>
        node.kind === "call" && around.at(-1)?.kind !== "statement" && part(node, "callee")?.kind === "name"
          ? [calledName(node)]
          : [],
      ),
    );
    return ofKind(context, "function").flatMap(({ node }) => {
      const name = nameOfFunction(node);
      const body = part(node, "body");
      if (
        !body ||
        !used.has(name) ||
        nodesOf(body).some((each) => each.kind === "return" && each.children.length > 0) ||
        /\byield\b/.test(context.sourceOf(body))
      )
        return [];
      const last = body.children.at(-1) ?? body;
      return [
        {
          line: context.lineOf(Math.max(last.from, last.to - 1)),
          why: `“${name}” gives nothing back here, and its value is used.`,
        },
      ];
    });
  },
  examples: [
    { language: "python", text: "def f(a):\n    b = a * 2\nprint(f(2))\n", line: 2 },
    {
      language: "pascal",
      text: "function Fare(age: integer): integer;\nvar\n  b: integer;\nbegin\n  b := age * 2;\nend;\nbegin\n  writeln(Fare(3));\nend.\n",
      line: 5,
    },
  ],
};
