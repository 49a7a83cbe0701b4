import { nodesOf, part, type SyntaxNode } from "../syntax/tree.ts";
import type { EditContext } from "./edit.ts";
import { functionAround, ofKind } from "./places.ts";

const wholeTypes = /^(int|long|short|byte|unsigned|uint|size_t)$/;

/** A quotient of whole numbers whose digits behind the point are wanted, and why they are, as a sentence. */
export type WholeQuotient = { node: SyntaxNode; why: string };

/**
 * Divisions of whole numbers that cut off digits which are wanted: the quotient is multiplied, compared with a number that
 * has such digits, or becomes a decimal. None in a language whose sign of division keeps them.
 */
export function wholeQuotients(context: EditContext): WholeQuotient[] {
  if (context.writing.divides.decimal !== null) return [];
  const types = new Map<string, string>();
  for (const { node } of ofKind(context, "declaration", "parameter")) {
    const type = node.children.find((child) => child.kind === "type")?.sign ?? "";
    for (const each of [node, ...node.children.flatMap((child) => [child, ...child.children])])
      if (each.sign && (each.kind === "name" || each.kind === "parameter")) types.set(each.sign, type);
  }
  const whole = (node: SyntaxNode | undefined): boolean => {
    if (!node) return false;
    if (node.kind === "number") return /^\d+$/.test(node.sign ?? "");
    if (node.kind === "name") return wholeTypes.test(types.get(node.sign ?? "") ?? "");
    if (node.kind === "index") return whole(part(node, "object"));
    if (node.kind === "group") return whole(node.children[0]);
    if (node.kind === "binary") return whole(part(node, "left")) && whole(part(node, "right"));
    if (node.kind === "field") return /^(length|Length|Count)$/.test(node.sign ?? "");
    return node.kind === "call" ? /\.size\(\)$/.test(context.sourceOf(node)) : false;
  };
  return ofKind(context, "binary").flatMap(({ node, around }) => {
    if (node.sign !== "/" || !whole(part(node, "left")) || !whole(part(node, "right"))) return [];
    const parent = around.at(-1);
    const times = parent?.kind === "binary" && parent.sign === "*" && node.role === "left";
    const statement = around.findLast(
      (each) => each.kind === "declaration" || each.kind === "assignment" || each.kind === "return",
    );
    const owner = functionAround(around);
    const wanted =
      statement?.kind === "return"
        ? owner?.children.find((child) => child.kind === "type")?.sign
        : (around.findLast((each) => each.kind === "declaration")?.children.find((child) => child.kind === "type")
            ?.sign ?? types.get(statement?.children[0]?.sign ?? ""));
    // What a quotient is compared with, and brackets around it do not matter.
    const outer = around.findLast((each) => each.kind !== "group");
    const asked = outer?.kind === "binary" && /^(?:[<>]=?|[=!]=)$/.test(outer.sign ?? "") ? outer.children : [];
    if (
      asked.some((each) => nodesOf(each).some(({ kind, sign }) => kind === "number" && /\d\.\d*[1-9]/.test(sign ?? "")))
    )
      return [
        {
          node,
          why: "A division of whole numbers has no digits behind the point, and is compared with a number that has.",
        },
      ];
    const literal = nodesOf(node).every((each) => each.kind !== "name");
    if (times) return [{ node, why: "A division of whole numbers cuts its digits off before it is multiplied." }];
    if (/^(double|float|decimal)$/.test(wanted ?? "") && !literal)
      return [
        {
          node,
          why: "A division of whole numbers has no digits behind the point; they are cut off before the result gets its type.",
        },
      ];
    return [];
  });
}
