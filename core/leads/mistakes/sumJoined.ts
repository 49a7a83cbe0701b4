import { ofKind } from "../../edits/places.ts";
import { part, type SyntaxNode } from "../../syntax/tree.ts";
import type { Mistake } from "./mistake.ts";

const numberTypes = /^(?:int|long|short|byte|double|float|decimal|Integer|Long|Double)$/;

/** The values of a chain of `+`, from left to right, as they are joined. */
function added(node: SyntaxNode): SyntaxNode[] {
  const [left, right] = [part(node, "left"), part(node, "right")];
  if (node.kind !== "binary" || node.sign !== "+" || !left || !right) return [node];
  return [...added(left), right];
}

/** Numbers behind a text, joined to it digit by digit where their sum is meant. */
export const sumJoined: Mistake = {
  id: "sum-joined-to-text",
  weight: 90,
  find: (context) => {
    if (!context.writing.joinsNumbers) return [];
    const numbers = new Set<string>();
    for (const { node } of ofKind(context, "declaration", "parameter")) {
      const type = node.children.find((child) => child.kind === "type")?.sign ?? "";
      if (!numberTypes.test(type)) continue;
      for (const each of [node, ...node.children.flatMap((child) => [child, ...child.children])])
        if (each.sign && (each.kind === "name" || each.kind === "parameter")) numbers.add(each.sign);
    }
    const isNumber = (node: SyntaxNode | undefined) =>
      node !== undefined && (node.kind === "number" || (node.kind === "name" && numbers.has(node.sign ?? "")));
    return ofKind(context, "binary").flatMap(({ node, around }) => {
      if (node.sign !== "+" || (around.at(-1)?.kind === "binary" && around.at(-1)?.sign === "+")) return [];
      const values = added(node);
      const text = values.findIndex((value) => value.kind === "text");
      const at = values.findIndex((value, place) => place > text && isNumber(value) && isNumber(values[place + 1]));
      const [first, second] = [values[at], values[at + 1]];
      if (text < 0 || at < 0 || !first || !second) return [];
      return [
        {
          line: context.lineOf(first.from),
          why: `The text comes first, so “${context.sourceOf(first)}” and “${context.sourceOf(second)}” are joined to it one by one and not added.`,
        },
      ];
    });
  },
  examples: [
    {
      language: "java",
      text: 'class M {\n  void f(int a, int b) {\n    System.out.println("n " + a + b);\n  }\n}\n',
      line: 3,
    },
    {
      language: "csharp",
      text: 'class P {\n  void F(int a, int b) {\n    Console.WriteLine("n " + a + b);\n  }\n}\n',
      line: 3,
    },
  ],
};
