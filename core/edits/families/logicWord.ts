import { part, type SyntaxNode } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { isSimple, namesIn, signPlace } from "../places.ts";

function isNot(context: EditContext, sign: string | undefined): boolean {
  return (sign ?? "").toLowerCase() === context.writing.not.trim().toLowerCase() || sign === "~";
}

/** True where a sign does something else with two values (`&` joins texts). */
function joins(context: EditContext, sign: string): boolean {
  return context.writing.otherOperators.flat().includes(sign);
}

/** The comparison on one side of a joined condition, out of its brackets. */
function comparisonOn(node: SyntaxNode, side: "left" | "right"): SyntaxNode | undefined {
  const given = part(node, side);
  return given?.kind === "group" ? given.children[0] : given;
}

/**
 * True where nearly all values of a name meet one of two conditions ("is not 1 or is not 2"), or none can meet both ("is 1 and
 * is 2").
 */
function isHardlyMeant(context: EditContext, node: SyntaxNode, isAnd: boolean): boolean {
  const [one, other] = [comparisonOn(node, "left"), comparisonOn(node, "right")];
  if (!one || !other) return false;
  const [first, second] = [part(one, "left"), part(other, "left")];
  if (isAnd) {
    const isSame = first && second && context.sourceOf(first) === context.sourceOf(second);
    return isSame === true && [one, other].every(({ sign }) => /^={1,3}$/.test(sign ?? ""));
  }
  const shared = namesIn(one).some((name) => namesIn(other).includes(name));
  return shared && [one, other].some(({ sign }) => /^(?:!==?|<>|~=)$/.test(sign ?? ""));
}

/** `and` for `or`; a `not` more or less around a condition. */
function otherWords(context: EditContext): Proposal[] {
  const { and, or, not } = context.writing;
  const found: Proposal[] = [];
  for (const { node, around } of context.nodes) {
    const sign = (node.sign ?? "").toLowerCase();
    const isAnd = sign === and.toLowerCase();
    if (node.kind === "binary" && (isAnd || sign === or.toLowerCase())) {
      const place = signPlace(context, node);
      const other = isAnd ? or : and;
      const odds = isHardlyMeant(context, node, isAnd) ? 1.6 : 1;
      if (place) found.push(change(place, other, { before: sign, after: other }, odds));
    }
    if (node.kind === "binary" && (sign === "&" || sign === "|") && !joins(context, sign)) {
      const place = signPlace(context, node);
      const other = sign === "&" ? and : or;
      const turned = sign === "&" ? "|" : "&";
      if (place)
        found.push(
          change(place, other, { before: sign, after: other }, 0.6),
          change(place, turned, { before: sign, after: turned }, 0.8),
        );
    }
    const operand = node.kind === "unary" && isNot(context, node.sign) ? part(node, "operand") : undefined;
    if (operand) {
      const inner =
        operand.kind === "group" && operand.children[0] && around.at(-1)?.kind !== "binary"
          ? operand.children[0]
          : operand;
      found.push(
        change(
          node,
          context.sourceOf(inner),
          { before: context.sourceOf(node), after: context.sourceOf(inner) },
          node.role === "condition" ? 0.8 : 0.5,
        ),
      );
    }
    // A truth that is asked for by itself has nothing else that could be turned.
    const isBare = ["name", "call", "index", "field"].includes(node.kind);
    if (node.role === "condition" && node.kind !== "choice" && !isNot(context, node.sign))
      found.push(
        change(
          node,
          negated(context, node, not),
          { before: context.sourceOf(node), after: "not" },
          isBare ? 0.9 : 0.35,
        ),
      );
  }
  return found;
}

function negated(context: EditContext, node: SyntaxNode, not: string): string {
  const text = context.sourceOf(node);
  return isSimple(node) ? `${not}${text}` : `${not}(${text})`;
}

export const logicWord: EditFamily = {
  id: "logic-word",
  says: "and for or, or a not that is left out or too many",
  weight: 9,
  reads: "tree",
  mends: otherWords,
  plants: otherWords,
  examples: [
    { language: "python", right: "if open and calm:\n    sail()\n", faulty: "if open or calm:\n    sail()\n" },
    { language: "python", right: "while not done:\n    sail()\n", faulty: "while done:\n    sail()\n" },
    {
      language: "java",
      right: "class Main { boolean f(int a) { if (a > 1 && a < 5) return true; return false; } }",
      faulty: "class Main { boolean f(int a) { if (a > 1 || a < 5) return true; return false; } }",
    },
    {
      language: "c",
      right: "int f(int a) { if (!a) return 1; return 0; }",
      faulty: "int f(int a) { if (a) return 1; return 0; }",
    },
    {
      language: "csharp",
      right: "class P { static bool F(int a) { return a < 1 || a > 5; } }",
      faulty: "class P { static bool F(int a) { return a < 1 && a > 5; } }",
    },
    {
      language: "pascal",
      right: "begin\n  if (a > 1) and (a < 5) then b := 1\nend.",
      faulty: "begin\n  if (a > 1) or (a < 5) then b := 1\nend.",
    },
    {
      language: "pseudocode",
      right: "WHILE a > 1 AND a < 5\n  a <- a + 1\nENDWHILE\n",
      faulty: "WHILE a > 1 OR a < 5\n  a <- a + 1\nENDWHILE\n",
    },
    { language: "octave", right: "x = find(a > 1 & a < 5);\n", faulty: "x = find(a > 1 | a < 5);\n" },
    { language: "octave", right: "if a > 1 && a < 5\n  b = 1;\nend\n", faulty: "if a > 1 || a < 5\n  b = 1;\nend\n" },
  ],
};
