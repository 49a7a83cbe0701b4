import { isLoop, nodesOf, part, type SyntaxNode } from "../syntax/tree.ts";
import { beside } from "./beside.ts";
import { change, type EditContext, type Proposal } from "./edit.ts";
import { namesIn, ofKind } from "./places.ts";

/** True where a piece changes what a name holds: by a value, an element, or any call on it that is not one that only looks. */
function isChangedIn(context: EditContext, piece: SyntaxNode, name: string, looks: ReadonlySet<string>): boolean {
  return nodesOf(piece).some((node) => {
    if (node.kind === "assignment") return namesIn(part(node, "target") ?? node.children[0] ?? node).includes(name);
    const callee = node.kind === "call" ? part(node, "callee") : undefined;
    const owner = callee && part(callee, "object");
    return owner?.sign === name && owner.kind === "name" && !looks.has(context.sourceOf(node));
  });
}

/**
 * An element that a loop looks at and never takes out of the list that it waits for: taken out where it is looked at, or behind
 * the last step of the loop.
 */
export function elementsToTake(context: EditContext): Proposal[] {
  const { takesOut = [] } = context.writing;
  return ofKind(context, "while").flatMap(({ node }) => {
    const [condition, body] = [part(node, "condition"), part(node, "body")];
    const last = body?.children.at(-1);
    if (!condition || !body || !last) return [];
    return namesIn(condition).flatMap((name) => {
      const ways = takesOut.map(({ picked, taken, step }) => ({
        picked: picked.replace("_", name),
        taken: taken?.replace("_", name),
        step: (step ?? taken ?? "").replace("_", name),
      }));
      const asked = nodesOf(condition).filter(({ kind }) => kind === "call");
      const looks = new Set([...ways.map(({ picked }) => picked), ...asked.map((each) => context.sourceOf(each))]);
      if (isChangedIn(context, body, name, looks)) return [];
      return ways.flatMap(({ picked, taken, step }) => {
        const places = nodesOf(body).filter((each) => context.sourceOf(each).replace(/\s/g, "") === picked);
        const [first] = places;
        if (!first) return [];
        // A list that is looked at several times in one pass is shortened behind all of them.
        const only = places.length === 1 && taken !== undefined && !isLoop(last);
        return [
          ...(only ? [change(first, taken, { before: picked, after: taken }, 3)] : []),
          ...beside(context, last, step, "behind", only ? 1.5 : 3),
        ];
      });
    });
  });
}
