import type { EditContext } from "../../edits/edit.ts";
import { calledName, ofKind } from "../../edits/places.ts";
import { nodesOf, part, type SyntaxNode } from "../../syntax/tree.ts";
import type { Mistake } from "./mistake.ts";

/** The assignments of a loop's body that give the loop's own name another value; a list that is added to stays the same one. */
const givenIn = (context: EditContext, body: SyntaxNode, name: string): SyntaxNode[] =>
  nodesOf(body).filter((each) => {
    const [target] = each.kind === "assignment" ? each.children : [];
    const lengthens = each.sign !== context.writing.assign && part(each, "value")?.kind === "list";
    return target?.kind === "name" && target.sign === name && !lengthens;
  });

/** True where a name is read behind a place, other than in a loop that gives it its own values. */
function isReadBehind(context: EditContext, name: string, from: number): boolean {
  const loops = ofKind(context, "foreach", "for").filter(
    ({ node }) => node.from >= from && (part(node, "target")?.sign === name || part(node, "definition")?.sign === name),
  );
  return context.nodes.some(
    ({ node }) =>
      node.kind === "name" &&
      node.sign === name &&
      node.from >= from &&
      node.role !== "target" &&
      !loops.some((loop) => loop.node.from <= node.from && node.to <= loop.node.to),
  );
}

/** A loop over a list changes its own copy of each element, and the list stays as it was. */
export const elementCopied: Mistake = {
  id: "value-parameter-changed",
  weight: 95,
  find: (context) =>
    ofKind(context, "foreach").flatMap(({ node }) => {
      const [source, target, body] = [part(node, "source"), part(node, "target"), part(node, "body")];
      const name = target?.sign ?? "";
      // What a loop counts by is no copy of anything.
      if (!source || !body || target?.kind !== "name" || source.sign === ":") return [];
      if (source.kind === "call" && calledName(source) === context.writing.countingCall) return [];
      const last = givenIn(context, body, name).at(-1);
      if (!last || isReadBehind(context, name, last.to)) return [];
      return [
        {
          line: context.lineOf(last.from),
          names: [name],
          why: `“${name}” is a copy of one element here; “${context.sourceOf(source)}” stays as it was.`,
        },
      ];
    }),
  examples: [
    {
      language: "java",
      text: "class M {\n  void raise(int[] fares) {\n    for (int fare : fares) {\n      fare = fare + 5;\n    }\n  }\n}\n",
      line: 4,
    },
    {
      language: "python",
      text: "fares = [10, 20]\nfor fare in fares:\n    fare += 5\nfor fare in fares:\n    print(fare)\n",
      line: 3,
    },
  ],
};
