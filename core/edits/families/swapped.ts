import { part, parts, type SyntaxNode } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { calledName, ofKind } from "../places.ts";

function swap(context: EditContext, one: SyntaxNode, other: SyntaxNode, odds: number): Proposal[] {
  const [first, second] = [context.sourceOf(one), context.sourceOf(other)];
  if (first === second || one.to > other.from) return [];
  const text = second + context.text.slice(one.to, other.from) + first;
  return [change({ from: one.from, to: other.to }, text, { one: first, other: second }, odds)];
}

/** Arguments, groups of arguments, and the two sides of an operator that change places. */
function swaps(context: EditContext): Proposal[] {
  const calls = ofKind(context, "call", "index").flatMap(({ node }) => {
    const given = parts(node, "argument");
    const own = context.functions.includes(calledName(node)) || node.sign === "new";
    const neighbours = given.slice(1).flatMap((other, at) => {
      const one = given[at];
      return one ? swap(context, one, other, own ? 1 : 0.3) : [];
    });
    // Two pairs: (a, b, c, d) is (c, d, a, b).
    const [first, second, third, fourth] = given;
    if (!own || !first || !second || !third || !fourth || given.length !== 4) return neighbours;
    const pair = (one: SyntaxNode, other: SyntaxNode): SyntaxNode => ({
      kind: "list",
      from: one.from,
      to: other.to,
      children: [],
    });
    return [...neighbours, ...swap(context, pair(first, second), pair(third, fourth), 0.8)];
  });
  const sides = ofKind(context, "binary").flatMap(({ node }) => {
    const [left, right] = [part(node, "left"), part(node, "right")];
    if (!left || !right || !/^(-|\/|\/\/|%|div|mod|in|\.\/)$/i.test(node.sign ?? "")) return [];
    return swap(context, left, right, 0.7);
  });
  const assigned = ofKind(context, "assignment").flatMap(({ node }) => {
    const [target, value] = [part(node, "target"), part(node, "value")];
    if (!target || !value || value.kind !== "name" || target.role === "definition" || target.kind === "list") return [];
    return swap(context, target, value, 0.6);
  });
  return [...calls, ...sides, ...assigned];
}

export const swapped: EditFamily = {
  id: "swapped",
  says: "two values that changed places",
  weight: 7,
  reads: "tree",
  mends: swaps,
  plants: swaps,
  examples: [
    {
      language: "python",
      right: "def wait(now, then):\n    return then - now\nwait(start, end)\n",
      faulty: "def wait(now, then):\n    return then - now\nwait(end, start)\n",
    },
    { language: "python", right: "wait = then - now\n", faulty: "wait = now - then\n" },
    {
      language: "java",
      right: "class Main { static int f(int a, int b) { return a - b; } static int g() { return f(2, 1); } }",
      faulty: "class Main { static int f(int a, int b) { return a - b; } static int g() { return f(1, 2); } }",
    },
    { language: "c", right: "int f(int a, int b) { return a - b; }", faulty: "int f(int a, int b) { return b - a; }" },
    {
      language: "csharp",
      right: "class P { int F(int a, int b) { return a / b; } }",
      faulty: "class P { int F(int a, int b) { return b / a; } }",
    },
    { language: "pascal", right: "begin\n  high := low;\nend.", faulty: "begin\n  low := high;\nend." },
    { language: "octave", right: "x = mod(a, b) - c;\n", faulty: "x = c - mod(a, b);\n" },
  ],
};
