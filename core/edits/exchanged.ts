import { part, type SyntaxNode } from "../syntax/tree.ts";
import type { EditContext } from "./edit.ts";
import { blocksOf, ofKind } from "./places.ts";

/** The assignment of a name, element or part that is all of a statement. */
export function givenBy(node: SyntaxNode): { target: SyntaxNode; value: SyntaxNode } | null {
  const given = node.kind === "assignment" ? node : node.children.length === 1 ? node.children[0] : undefined;
  const [target, value] = given?.kind === "assignment" ? [part(given, "target"), part(given, "value")] : [];
  return target && value ? { target, value } : null;
}

/** The same, where the statement may make the name known, too: `int deck = 2;` with nothing else in it. */
export function firstGivenBy(node: SyntaxNode): { target: SyntaxNode; value: SyntaxNode } | null {
  const made = node.kind === "declaration" ? node.children.filter(({ kind }) => kind === "assignment") : [];
  const [only] = made;
  const [target, value] = only && made.length === 1 ? [part(only, "definition"), part(only, "value")] : [];
  return target && value ? { target, value } : givenBy(node);
}

/**
 * Two neighbours that were to be exchanged: `a = b` and then `b = a`, by which both are the second. `value` is what the
 * latter gives, `kept` a name that was given the value of the first before, if there is one.
 */
export function lostExchanges(context: EditContext): Array<{ value: SyntaxNode; kept?: string }> {
  const source = (node: SyntaxNode) => context.sourceOf(node).replace(/\s+/g, "");
  return blocksOf(context).flatMap(({ statements }) =>
    statements.flatMap((statement, at) => {
      const before = statements[at - 1];
      const [first, second] = [before && givenBy(before), givenBy(statement)];
      if (!before || !first || !second || source(first.target) !== source(second.value)) return [];
      if (source(first.value) !== source(second.target) || source(first.target) === source(first.value)) return [];
      const earlier = statements.slice(0, at - 1).flatMap((each) => {
        const given = ofKind(context, "assignment").find(
          ({ node }) => node.from >= each.from && node.to <= each.to && part(node, "value"),
        )?.node;
        const [target, value] = given ? [part(given, "target") ?? part(given, "definition"), part(given, "value")] : [];
        return target?.kind === "name" && value && source(value) === source(first.target) ? [target.sign ?? ""] : [];
      });
      const kept = earlier.at(-1);
      return [{ value: second.value, ...(kept ? { kept } : {}) }];
    }),
  );
}
