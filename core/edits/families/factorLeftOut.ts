import { nodesOf, part, parts, type SyntaxNode } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, insert, type Proposal } from "../edit.ts";
import { calledName, nameOfFunction, ofKind, parametersOf } from "../places.ts";

/** Factors by which parts of one thing are put together: digits, minutes, hundredths. */
const usual = ["10", "60", "100"];
const mostFactors = 6;

/** Whole numbers of the program that may be a factor, and the usual ones. */
function factorsOf(context: EditContext): string[] {
  const own = context.nodes.flatMap(({ node }) => (node.kind === "number" ? [context.sourceOf(node)] : []));
  return [...new Set([...own.filter((each) => /^(?:[2-9]|[1-9]\d+)$/.test(each)), ...usual])].slice(0, mostFactors);
}

/** True for what is added to itself something: `value = value + digit`. */
function isGathered(context: EditContext, around: SyntaxNode | undefined, left: SyntaxNode): boolean {
  const target = around?.kind === "assignment" ? part(around, "target") : undefined;
  return target !== undefined && context.sourceOf(target) === context.sourceOf(left);
}

/** The first value of a sum, times a factor: hours and minutes that are added, digits of a number. */
function mends(context: EditContext): Proposal[] {
  const factors = factorsOf(context);
  // Hours and minutes are read with a colon between them.
  const clocks = ofKind(context, "text").some(({ node }) =>
    /^["':%.0-9da-z]*:["':%.0-9da-z]*$/.test(context.sourceOf(node)),
  );
  return ofKind(context, "binary").flatMap(({ node, around }) => {
    const left = part(node, "left");
    const innermost = (each: SyntaxNode): SyntaxNode => {
      const inner = each.kind === "binary" && /^[-+]$/.test(each.sign ?? "") ? part(each, "left") : undefined;
      return inner ? innermost(inner) : each;
    };
    const first = left && innermost(left);
    if (!/^[-+]$/.test(node.sign ?? "") || !first || !["name", "index", "field", "call"].includes(first.kind))
      return [];
    if (around.at(-1)?.kind === "binary" && around.at(-1)?.sign === "+") return [];
    // Digits are put together by ten.
    const gathered = isGathered(context, around.at(-1), first);
    return factors.map((factor) => {
      // Two numbers that are read, one added to the other: hours and minutes, where there is a clock.
      const isClock = clocks && factor === "60" && !gathered;
      const clock = first.kind === "call" && part(node, "right")?.kind === "call" ? 2 : 1;
      const odds = gathered ? (factor === "10" ? 0.5 : 0.1) : isClock ? clock : usual.includes(factor) ? 0.35 : 0.25;
      return insert(first.to, ` * ${factor}`, { factor, value: context.sourceOf(first) }, odds);
    });
  });
}

/** What a function hands to itself as it got it: less by another value that it has, or by one. */
function lessForItself(context: EditContext): Proposal[] {
  return ofKind(context, "function").flatMap(({ node: own }) => {
    const handed = parametersOf(own);
    return nodesOf(own).flatMap((node) => {
      if (node.kind !== "call" || calledName(node) !== nameOfFunction(own)) return [];
      return parts(node, "argument").flatMap((each, at) => {
        if (each.kind !== "name" || each.sign !== handed[at]) return [];
        return [...handed.filter((name) => name !== each.sign), "1"].map((less) =>
          insert(each.to, ` - ${less}`, { factor: less, value: each.sign ?? "" }, 1),
        );
      });
    });
  });
}

/** The factor of the first value of a sum, taken out. */
function plants(context: EditContext): Proposal[] {
  return ofKind(context, "binary").flatMap(({ node, around }) => {
    const [left, right] = [part(node, "left"), part(node, "right")];
    const parent = around.at(-1);
    if (node.sign !== "*" || node.role !== "left" || !left || right?.kind !== "number") return [];
    if (parent?.kind !== "binary" || !/^[-+]$/.test(parent.sign ?? "")) return [];
    return [
      change({ from: left.to, to: node.to }, "", { factor: context.sourceOf(right), value: context.sourceOf(left) }),
    ];
  });
}

/** A factor that is left out of a sum. */
/** The other way: what a function hands to itself less of. */
function allForItself(context: EditContext): Proposal[] {
  return ofKind(context, "function").flatMap(({ node: own }) =>
    nodesOf(own).flatMap((node) => {
      if (node.kind !== "call" || calledName(node) !== nameOfFunction(own)) return [];
      return parts(node, "argument").flatMap((each) => {
        const left = each.kind === "binary" && each.sign === "-" ? part(each, "left") : undefined;
        return left?.kind === "name"
          ? [change({ from: left.to, to: each.to }, "", { factor: "", value: left.sign ?? "" })]
          : [];
      });
    }),
  );
}

export const factorLeftOut: EditFamily = {
  id: "factor-left-out",
  says: "a factor that is left out of a sum, or what a function takes off before it calls itself",
  weight: 6,
  reads: "tree",
  mends: (context) => [...mends(context), ...lessForItself(context)],
  plants: (context) => [...plants(context), ...allForItself(context)],
  examples: [
    {
      language: "python",
      right: "def rows(people, row):\n    if people <= 0:\n        return 0\n    return 1 + rows(people - row, row)\n",
      faulty: "def rows(people, row):\n    if people <= 0:\n        return 0\n    return 1 + rows(people, row)\n",
    },
    { language: "python", right: "minutes = h * 60 + m\n", faulty: "minutes = h + m\n" },
    {
      language: "java",
      right: "class Main { int f(int h, int m) { return h * 60 + m; } }",
      faulty: "class Main { int f(int h, int m) { return h + m; } }",
    },
    {
      language: "c",
      right: "int f(int v, char c) { v = v * 10 + c - '0'; return v; }",
      faulty: "int f(int v, char c) { v = v + c - '0'; return v; }",
    },
    {
      language: "csharp",
      right: "class P { int F(int h, int m) { return h * 60 + m; } }",
      faulty: "class P { int F(int h, int m) { return h + m; } }",
    },
    {
      language: "pascal",
      right: "begin\n  value := value * 10 + digit;\nend.\n",
      faulty: "begin\n  value := value + digit;\nend.\n",
    },
    { language: "octave", right: "m = h * 60 + r;\n", faulty: "m = h + r;\n" },
  ],
};
