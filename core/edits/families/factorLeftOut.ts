import { nodesOf, part, parts, type SyntaxNode } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, insert, type Proposal } from "../edit.ts";
import { bracketed, calledName, countersOf, nameOfFunction, ofKind, parametersOf } from "../places.ts";

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

/** Where a loop ends that counts. */
function limitOf(loop: SyntaxNode): SyntaxNode | undefined {
  const [condition, source] = [part(loop, "condition"), part(loop, "source")];
  if (source?.kind === "binary" && source.sign === ":") return part(source, "right");
  return (
    part(loop, "limit") ??
    (condition && part(condition, "right")) ??
    (source && parts(source, "argument").slice(0, 2).at(-1))
  );
}

/** Limits of loops that exchange what stands as far from one end as from the other: `w[i]` and `w[n - 1 - i]`. */
function limitsOfExchanges(context: EditContext): SyntaxNode[] {
  return ofKind(context, "for", "foreach", "while").flatMap(({ node }) => {
    const [body, limit] = [part(node, "body"), limitOf(node)];
    const counters =
      node.kind === "while" && limit ? [part(part(node, "condition") ?? node, "left")?.sign] : countersOf(node);
    if (!body || !limit) return [];
    const given = nodesOf(body).flatMap((each) => (each.role === "target" ? nodesOf(each) : []));
    const places = given.flatMap((each) => parts(each, "argument"));
    const near = places.some((each) => each.kind === "name" && counters.includes(each.sign));
    const far = places.some((each) => each.sign === "-" && counters.includes(part(each, "right")?.sign));
    return near && far ? [limit] : [];
  });
}

/** Half of a value, as a whole number. */
function half(context: EditContext, value: SyntaxNode): string {
  const { whole, decimal } = context.writing.divides;
  return whole ? `${bracketed(context, value)} ${whole} 2` : `floor(${bracketed(context, value)} ${decimal} 2)`;
}

/** Half way, for a loop that would exchange everything twice. */
function halfWay(context: EditContext): Proposal[] {
  return limitsOfExchanges(context).flatMap((limit) =>
    /\b2\s*\)?$/.test(context.sourceOf(limit))
      ? []
      : [change(limit, half(context, limit), { factor: "2", value: context.sourceOf(limit) }, 2)],
  );
}

/** The other way: all the way for half of it. */
function allTheWay(context: EditContext): Proposal[] {
  return limitsOfExchanges(context).flatMap((limit) => {
    const inner = limit.kind === "call" ? parts(limit, "argument")[0] : limit;
    const value = inner?.kind === "binary" ? part(inner, "left") : undefined;
    const plain = value?.kind === "group" ? value.children[0] : value;
    if (!plain || !value || half(context, plain) !== context.sourceOf(limit)) return [];
    return [change(limit, context.sourceOf(plain), { factor: "2", value: context.sourceOf(plain) })];
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
  says: "a factor that is left out of a sum or a limit, or what a function takes off before it calls itself",
  weight: 6,
  reads: "tree",
  mends: (context) => [...mends(context), ...lessForItself(context), ...halfWay(context)],
  plants: (context) => [...plants(context), ...allForItself(context), ...allTheWay(context)],
  examples: [
    {
      language: "python",
      right: "for i in range(len(w) // 2):\n    w[i], w[len(w) - 1 - i] = w[len(w) - 1 - i], w[i]\n",
      faulty: "for i in range(len(w)):\n    w[i], w[len(w) - 1 - i] = w[len(w) - 1 - i], w[i]\n",
    },
    {
      language: "c",
      right:
        "void f(char w[], int n) {\n  for (int i = 0; i < n / 2; i++) {\n    char h = w[i];\n    w[i] = w[n - 1 - i];\n    w[n - 1 - i] = h;\n  }\n}\n",
      faulty:
        "void f(char w[], int n) {\n  for (int i = 0; i < n; i++) {\n    char h = w[i];\n    w[i] = w[n - 1 - i];\n    w[n - 1 - i] = h;\n  }\n}\n",
    },
    {
      language: "pascal",
      right:
        "begin\n  for i := 1 to n div 2 do\n  begin\n    h := w[i];\n    w[i] := w[n + 1 - i];\n    w[n + 1 - i] := h;\n  end;\nend.\n",
      faulty:
        "begin\n  for i := 1 to n do\n  begin\n    h := w[i];\n    w[i] := w[n + 1 - i];\n    w[n + 1 - i] := h;\n  end;\nend.\n",
    },
    {
      language: "octave",
      right: "for i = 1:floor(n / 2)\n  h = w(i);\n  w(i) = w(n + 1 - i);\n  w(n + 1 - i) = h;\nend\n",
      faulty: "for i = 1:n\n  h = w(i);\n  w(i) = w(n + 1 - i);\n  w(n + 1 - i) = h;\nend\n",
    },
    {
      language: "java",
      right:
        "class A { void f(int[] w) {\n  int i = 0;\n  while (i < w.length / 2) {\n    int h = w[i];\n    w[i] = w[w.length - 1 - i];\n    w[w.length - 1 - i] = h;\n    i++;\n  }\n} }",
      faulty:
        "class A { void f(int[] w) {\n  int i = 0;\n  while (i < w.length) {\n    int h = w[i];\n    w[i] = w[w.length - 1 - i];\n    w[w.length - 1 - i] = h;\n    i++;\n  }\n} }",
    },
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
