import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { ofKind, signPlace } from "../places.ts";

/** Other ways of writing an order. */
const otherWays: Readonly<Record<string, string>> = { "≤": "<=", "=<": "<=", "≥": ">=", "=>": ">=" };

/** What an order is mistaken for: its limit moved first, then turned, then both. */
const orders: Readonly<Record<string, readonly string[]>> = {
  "<": ["<=", ">", ">="],
  "<=": ["<", ">=", ">"],
  ">": [">=", "<", "<="],
  ">=": [">", "<=", "<"],
};
const odds = [1, 0.6, 0.35];

/** Comparisons with another sign: the limit moved, the sign turned, equal for unequal, one of order for one of equality. */
function otherComparisons(context: EditContext): Proposal[] {
  const { equal, unequal, orders: own = {} } = context.writing;
  return ofKind(context, "binary").flatMap(({ node }) => {
    const written = node.sign ?? "";
    const sign = otherWays[written] ?? written;
    const place = signPlace(context, node);
    if (!place) return [];
    const others: Array<readonly [string, number]> = (orders[sign] ?? []).map((other, at) => [other, odds[at] ?? 0.3]);
    if (orders[sign]) others.push([equal, 0.15], [unequal, 0.15]);
    if (sign === equal) others.push([unequal, 0.7], [">=", 0.35], ["<=", 0.35], [">", 0.15], ["<", 0.15]);
    if (sign === unequal || sign === "!=" || sign === "~=" || sign === "<>")
      others.push([equal, 0.7], ["<", 0.3], [">", 0.3], ["<=", 0.12], [">=", 0.12]);
    if (sign === "is") others.push([equal, 0.5]);
    if (sign === "is not") others.push([unequal, 0.5]);
    if (sign === "in") others.push(["not in", 0.4]);
    if (sign === "not in") others.push(["in", 0.4]);
    return others.map(([other, likely]) => {
      const after = own[other as "<="] ?? other;
      return change(place, after, { before: written, after }, likely);
    });
  });
}

export const comparison: EditFamily = {
  id: "comparison",
  says: "a comparison whose limit is moved or whose sign is turned",
  weight: 10,
  reads: "tree",
  mends: otherComparisons,
  plants: otherComparisons,
  examples: [
    {
      language: "python",
      right: "if load <= limit:\n    print(load)\n",
      faulty: "if load < limit:\n    print(load)\n",
    },
    { language: "python", right: "if deck not in full:\n    print(1)\n", faulty: "if deck in full:\n    print(1)\n" },
    {
      language: "java",
      right: "class Main { static boolean full(int cars) { return cars >= 40; } }",
      faulty: "class Main { static boolean full(int cars) { return cars > 40; } }",
    },
    {
      language: "c",
      right: "int full(int cars) { return cars != 40; }",
      faulty: "int full(int cars) { return cars == 40; }",
    },
    {
      language: "csharp",
      right: "class P { static bool Full(int cars) { return cars > 40; } }",
      faulty: "class P { static bool Full(int cars) { return cars < 40; } }",
    },
    {
      language: "pascal",
      right: "begin\n  if tide = 3 then x := 1\nend.",
      faulty: "begin\n  if tide <> 3 then x := 1\nend.",
    },
    {
      language: "pseudocode",
      right: "IF tide ≤ 3 THEN\n  fare ← 3\nENDIF\n",
      faulty: "IF tide < 3 THEN\n  fare ← 3\nENDIF\n",
    },
    { language: "octave", right: "if tide <= 3\n  x = 1;\nend\n", faulty: "if tide < 3\n  x = 1;\nend\n" },
  ],
};
