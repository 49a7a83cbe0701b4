import { ofKind } from "../../edits/places.ts";
import { nodesOf, type SyntaxKind, type SyntaxNode } from "../../syntax/tree.ts";
import type { Mistake } from "./mistake.ts";

/** The names that a declaration makes. */
const madeBy = (declaration: SyntaxNode): string[] =>
  nodesOf(declaration).flatMap((each) =>
    each.kind === "name" && (each.role === "definition" || each.role === "target") ? [each.sign ?? ""] : [],
  );

/** What a variable ends with that is declared in it; a loop's own one is none of what comes behind the loop. */
const scopes: ReadonlySet<SyntaxKind> = new Set<SyntaxKind>(["block", "class", "for", "foreach"]);

/** An inner variable with the name of an outer one: what is given to it, the outer one does not get. */
export const secondVariable: Mistake = {
  id: "variable-shadowed",
  weight: 93,
  find: (context) => {
    if (context.writing.variables !== "declared in place") return [];
    const all = ofKind(context, "declaration").map(({ node, around }) => ({
      ...{ node, names: madeBy(node) },
      within: around.findLast((each) => scopes.has(each.kind)),
    }));
    return all.flatMap((inner) => {
      const name = inner.names.find((each) =>
        all.some(
          (outer) =>
            outer.node !== inner.node &&
            outer.within !== inner.within &&
            outer.names.includes(each) &&
            (outer.within === undefined ||
              (outer.within.from <= inner.node.from && inner.node.to <= outer.within.to)) &&
            outer.node.to <= inner.node.from,
        ),
      );
      return name
        ? [
            {
              line: context.lineOf(inner.node.from),
              why: `A second “${name}” is made here; the one further out stays as it was.`,
            },
          ]
        : [];
    });
  },
  examples: [
    {
      language: "java",
      text: "class M {\n  static int total = 0;\n  void f(int a) {\n    int total = a;\n  }\n}\n",
      line: 4,
    },
    {
      language: "c",
      text: "int f(int n) {\n  int total = 0;\n  while (n > 0) {\n    int total = n;\n    n--;\n  }\n  return total;\n}\n",
      line: 4,
    },
  ],
};
