import { nodesOf, part, type SyntaxNode } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { ofKind } from "../places.ts";

const comparing = new Set(["==", "!=", "=", "<>", "~=", "<", ">", "<=", ">="]);

/** The last comparison in a chain of `or` and `and`. */
function lastComparison(node: SyntaxNode | undefined): SyntaxNode | undefined {
  if (node?.kind !== "binary") return undefined;
  if (comparing.has(node.sign ?? "")) return node;
  return lastComparison(part(node, "right")) ?? lastComparison(part(node, "left"));
}

function isLogic(context: EditContext, node: SyntaxNode): boolean {
  const sign = (node.sign ?? "").toLowerCase();
  return node.kind === "binary" && (sign === context.writing.and || sign === context.writing.or);
}

/** Whether what stands behind `or` can be a condition of its own already: a comparison, a call, a decision in brackets. */
function decidesItself(context: EditContext, node: SyntaxNode): boolean {
  return nodesOf(node).some(
    (each) =>
      each.kind === "call" ||
      each.kind === "constant" ||
      isLogic(context, each) ||
      (each.kind === "binary" && comparing.has(each.sign ?? "")),
  );
}

/** `x == "y" or "Y"`: the value on the right is compared with what the comparison before it compares. */
function mends(context: EditContext): Proposal[] {
  return ofKind(context, "binary").flatMap(({ node }) => {
    const right = part(node, "right");
    const compared = lastComparison(part(node, "left"));
    const left = compared && part(compared, "left");
    if (
      !isLogic(context, node) ||
      !right ||
      !left ||
      !["text", "number", "name", "constant", "group"].includes(right.kind) ||
      (right.kind === "group" && decidesItself(context, right))
    )
      return [];
    const text = `${context.sourceOf(left)} ${compared.sign} ${context.sourceOf(right)}`;
    // A name or a constant may be a truth of its own: it is tried, and not taken for a mistake.
    const isSure = right.kind === "text" || right.kind === "number";
    return [change(right, text, { value: context.sourceOf(right), name: context.sourceOf(left) }, isSure ? 1 : 0.5)];
  });
}

/** The other way: a second comparison of the same name loses all but its value. */
function plants(context: EditContext): Proposal[] {
  return ofKind(context, "binary").flatMap(({ node }) => {
    const right = part(node, "right");
    const compared = lastComparison(part(node, "left"));
    const left = compared && part(compared, "left");
    const value = right && part(right, "right");
    const name = right && part(right, "left");
    if (!isLogic(context, node) || !value || !name || !left || !comparing.has(right.sign ?? "")) return [];
    if (context.sourceOf(name) !== context.sourceOf(left) || compared.sign !== right.sign) return [];
    return [change(right, context.sourceOf(value), { value: context.sourceOf(value), name: context.sourceOf(name) })];
  });
}

export const comparisonLeftOut: EditFamily = {
  id: "comparison-left-out",
  says: "a second value that is compared with nothing",
  weight: 9,
  reads: "tree",
  mends,
  plants,
  examples: [
    {
      language: "python",
      right: 'if answer == "y" or answer == "Y":\n    sail()\n',
      faulty: 'if answer == "y" or "Y":\n    sail()\n',
    },
    {
      language: "c",
      right: "int f(int a) { if (a == 1 || a == 2) return 1; return 0; }",
      faulty: "int f(int a) { if (a == 1 || 2) return 1; return 0; }",
    },
    { language: "octave", right: "if a == 1 || a == 2\n  b = 1;\nend\n", faulty: "if a == 1 || 2\n  b = 1;\nend\n" },
  ],
};
