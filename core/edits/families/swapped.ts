import { nodesOf, part, parts, type SyntaxNode } from "../../syntax/tree.ts";
import { crossedArguments } from "../crossedArguments.ts";
import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { calledName, ofKind } from "../places.ts";
import { scopesOf } from "../scopes.ts";

function swap(context: EditContext, one: SyntaxNode, other: SyntaxNode, odds: number): Proposal[] {
  const [first, second] = [context.sourceOf(one), context.sourceOf(other)];
  if (first === second || one.to > other.from) return [];
  const text = second + context.text.slice(one.to, other.from) + first;
  return [change({ from: one.from, to: other.to }, text, { one: first, other: second }, odds)];
}

/** False for a text and a number, or two names that are declared as different kinds: no function takes them the other way round. */
function mayChange(context: EditContext, one: SyntaxNode, other: SyntaxNode): boolean {
  if (context.writing.types.length === 0) return true;
  const literals = ["number", "text"];
  if (literals.includes(one.kind) && literals.includes(other.kind)) return one.kind === other.kind;
  const areNames = one.kind === "name" && other.kind === "name";
  return !areNames || scopesOf(context).areAlike(one.sign ?? "", other.sign ?? "");
}

function isJoint({ writing }: EditContext, sign = ""): boolean {
  return [writing.and, writing.or].some((word) => word.toLowerCase() === sign.toLowerCase());
}

/** Arguments, groups of arguments, and the two sides of an operator that change places. */
function swaps(context: EditContext): Proposal[] {
  const crossed = crossedArguments(context);
  const calls = ofKind(context, "call", "index").flatMap(({ node }) => {
    const given = parts(node, "argument");
    // In a language whose lists begin with 1 a row and a column are picked as a function is called.
    const picks = context.names.includes(calledName(node));
    const own = picks || context.functions.includes(calledName(node)) || node.sign === "new";
    const neighbours = given.slice(1).flatMap((other, at) => {
      const one = given[at];
      if (!one || !mayChange(context, one, other)) return [];
      // Two values that the program is given as they stand are seldom the slip.
      const left = one.kind === "number" && other.kind === "number" ? 0.3 : 1;
      const isCrossed = crossed.some((each) => each.one === one && each.other === other);
      return swap(context, one, other, isCrossed ? 3 : (own ? 1 : 0.3) * left);
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
  // An element that is put where its value says: a(value) = place.
  const placed = ofKind(context, "assignment").flatMap(({ node }) => {
    const [target, value] = [part(node, "target"), part(node, "value")];
    if (target?.kind !== "index" && target?.kind !== "call") return [];
    const [at, ...others] = parts(target, "argument");
    return at?.kind === "name" && value?.kind === "name" && others.length === 0 ? swap(context, at, value, 0.6) : [];
  });
  // The parts that one line takes apart, in the order of its names.
  const targets = ofKind(context, "list").flatMap(({ node }) => {
    if (node.role !== "target") return [];
    return node.children.slice(1).flatMap((other, at) => swap(context, node.children[at] ?? other, other, 0.6));
  });
  // A row and a column: what is picked from what was picked.
  const picks = ofKind(context, "index").flatMap(({ node }) => {
    const inner = part(node, "object");
    const [one, other] = [inner?.kind === "index" ? part(inner, "argument") : undefined, part(node, "argument")];
    return one && other ? swap(context, one, other, 0.8) : [];
  });
  // What is joined: a text and the name that it is joined to.
  const joined = [
    ...ofKind(context, "list").flatMap(({ node, around }) => {
      const [one, other] = node.children;
      const target = around.at(-1)?.kind === "assignment" ? part(around.at(-1) ?? node, "target") : undefined;
      const isJoined = target && node.children.length === 2 && [one?.sign, other?.sign].includes(target.sign);
      return isJoined && one && other ? swap(context, one, other, 0.8) : [];
    }),
    ...ofKind(context, "binary").flatMap(({ node, around }) => {
      const [left, right] = [part(node, "left"), part(node, "right")];
      const target = around.at(-1)?.kind === "assignment" ? part(around.at(-1) ?? node, "target") : undefined;
      const isJoined = node.sign === "+" && [left, right].some((side) => side?.kind === "text");
      return isJoined && target && left && right && [left.sign, right.sign].includes(target.sign)
        ? swap(context, left, right, 0.8)
        : [];
    }),
  ];
  // Two elements of one list that a call is handed, whatever is made of them: each at the other's place.
  const elements = ofKind(context, "call").flatMap(({ node }) => {
    const picked = parts(node, "argument").flatMap((each) =>
      nodesOf(each)
        .filter(({ kind }) => kind === "index")
        .slice(0, 1),
    );
    return picked.slice(1).flatMap((other, at) => {
      const one = picked[at];
      const [first, second] = [one && part(one, "argument"), part(other, "argument")];
      const same =
        one && context.sourceOf(part(one, "object") ?? one) === context.sourceOf(part(other, "object") ?? other);
      return same && first && second ? swap(context, first, second, 0.8) : [];
    });
  });
  // A test that has to come before what it allows.
  const tests = ofKind(context, "binary").flatMap(({ node }) => {
    const [left, right] = [part(node, "left"), part(node, "right")];
    if (!left || !right || !isJoint(context, node.sign)) return [];
    const allows = nodesOf(left).some((each) => each.kind === "index" || each.kind === "call" || each.kind === "field");
    return swap(context, left, right, allows ? 0.6 : 0.05);
  });
  return [...calls, ...sides, ...assigned, ...placed, ...targets, ...picks, ...elements, ...joined, ...tests];
}

export const swapped: EditFamily = {
  id: "swapped",
  says: "two values that changed places",
  weight: 9,
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
    { language: "python", right: "name, age = line.split()\n", faulty: "age, name = line.split()\n" },
    { language: "python", right: "deck[row][place] = 1\n", faulty: "deck[place][row] = 1\n" },
    {
      language: "csharp",
      right: "class P { void F(string[] p) { Add(new Crew(p[0], int.Parse(p[1]))); } }",
      faulty: "class P { void F(string[] p) { Add(new Crew(p[1], int.Parse(p[0]))); } }",
    },
    {
      language: "java",
      right: "class Main { boolean f(int[] a, int i, int n) { return n > i && a[i] > 0; } }",
      faulty: "class Main { boolean f(int[] a, int i, int n) { return a[i] > 0 && n > i; } }",
    },
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
    { language: "octave", right: "deck = zeros(2);\ndeck(r, c) = 1;\n", faulty: "deck = zeros(2);\ndeck(c, r) = 1;\n" },
    { language: "octave", right: "x = mod(a, b) - c;\n", faulty: "x = c - mod(a, b);\n" },
  ],
};
