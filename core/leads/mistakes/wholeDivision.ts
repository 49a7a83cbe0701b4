import { functionAround, ofKind } from "../../edits/places.ts";
import { nodesOf, part, type SyntaxNode } from "../../syntax/tree.ts";
import type { Mistake } from "./mistake.ts";

const wholeTypes = /^(int|long|short|byte|unsigned|uint|size_t)$/;

/** A division of whole numbers whose digits behind the point are wanted. */
export const wholeDivision: Mistake = {
  id: "whole-number-division",
  weight: 91,
  find: (context) => {
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
      if (node.kind === "group") return whole(node.children[0]);
      if (node.kind === "binary") return whole(part(node, "left")) && whole(part(node, "right"));
      if (node.kind === "field") return /^(length|Length|Count)$/.test(node.sign ?? "");
      return node.kind === "call" ? /\.size\(\)$/.test(context.sourceOf(node)) : false;
    };
    return ofKind(context, "binary").flatMap(({ node, around }) => {
      if (node.sign !== "/" || !whole(part(node, "left")) || !whole(part(node, "right"))) return [];
      const line = context.lineOf(node.from);
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
      const literal = nodesOf(node).every((each) => each.kind !== "name");
      if (times) return [{ line, why: "A division of whole numbers cuts its digits off before it is multiplied." }];
      if (/^(double|float|decimal)$/.test(wanted ?? "") && !literal)
        return [
          {
            line,
            why: "A division of whole numbers has no digits behind the point; they are cut off before the result gets its type.",
          },
        ];
      return [];
    });
  },
  examples: [
    { language: "java", text: "class M {\n  int f(int a, int b) {\n    return a / b * 100;\n  }\n}\n", line: 3 },
    { language: "c", text: "double f(int a, int b) {\n  return a / b;\n}\n", line: 2 },
    { language: "csharp", text: "class P {\n  void F(int a, int b) {\n    double c = a / b;\n  }\n}\n", line: 3 },
  ],
};
