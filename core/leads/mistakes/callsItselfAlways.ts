import { calledName, nameOfFunction, ofKind, parametersOf } from "../../edits/places.ts";
import { nodesOf, part, parts, type SyntaxNode } from "../../syntax/tree.ts";
import type { Mistake } from "./mistake.ts";

/** Pieces in which something may or may not be done. */
const undecided: ReadonlySet<SyntaxNode["kind"]> = new Set([
  ...(["if", "while", "for", "foreach", "switch", "case", "try"] as const),
  ...(["choice", "function", "class"] as const),
]);

/** The call of a function of this name with so many values that is made in every case; undefined where none is. */
function callInEveryCase(node: SyntaxNode, name: string, count: number): SyntaxNode | undefined {
  if (undecided.has(node.kind)) return undefined;
  const callee = part(node, "callee");
  if (
    calledName(node) === name &&
    parts(node, "argument").length === count &&
    (callee?.kind === "name" || /^(?:this|self)$/i.test(callee?.children[0]?.sign ?? ""))
  )
    return node;
  // What stands behind `and` and `or` is not always worked out.
  const left = node.kind === "binary" && /^(?:&&|\|\||and|or)/i.test(node.sign ?? "") ? part(node, "left") : undefined;
  for (const child of left ? [left] : node.children) {
    const found = callInEveryCase(child, name, count);
    if (found) return found;
  }
  return undefined;
}

/** True for what may end a function before its last statement. */
const mayLeave = (node: SyntaxNode) =>
  nodesOf(node).some((each) => each.kind === "return" || each.kind === "leave" || each.kind === "error");

/** A function that calls itself whatever it was given: no call of it comes to an end. */
export const callsItselfAlways: Mistake = {
  id: "recursion-without-end",
  weight: 96,
  find: (context) =>
    ofKind(context, "function").flatMap(({ node }) => {
      const name = nameOfFunction(node);
      const body = part(node, "body");
      if (name === "" || !body) return [];
      const count = parametersOf(node).length;
      for (const statement of body.children) {
        const call = callInEveryCase(statement, name, count);
        if (call)
          return [
            {
              line: context.lineOf(call.from),
              why: `“${name}” calls itself here whatever it was given: no case ends it.`,
              names: [name],
            },
          ];
        if (mayLeave(statement)) return [];
      }
      return [];
    }),
  examples: [
    { language: "python", text: "def down(n):\n    return 1 + down(n - 1)\n", line: 2 },
    { language: "c", text: 'int down(int n) {\n  printf("%d ", n);\n  return 1 + down(n - 1);\n}\n', line: 3 },
    { language: "java", text: "class M {\n  static int down(int n) {\n    return down(n - 1) + 1;\n  }\n}\n", line: 3 },
    { language: "pascal", text: "function f(n: integer): integer;\nbegin\n  f := n * f(n - 1);\nend;\n", line: 3 },
    { language: "octave", text: "function n = f(k)\n  n = 1 + f(k - 3);\nend\n", line: 2 },
    { language: "csharp", text: "class M {\n  static int F(int n) {\n    return F(n - 1) + 1;\n  }\n}\n", line: 3 },
  ],
};
