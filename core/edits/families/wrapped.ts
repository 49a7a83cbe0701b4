import { part, parts, type SyntaxNode } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { bracketed, calledName, loopAround, ofKind } from "../places.ts";
import { usageOf } from "../usage.ts";

/** True for a place that goes on by one in a loop: `turn = turn + 1`. */
function goesOn(node: SyntaxNode, around: readonly SyntaxNode[]): boolean {
  const [target, value] = [part(node, "target"), part(node, "value")];
  const [left, right] = [value && part(value, "left"), value && part(value, "right")];
  return (
    loopAround(around) !== undefined &&
    target?.kind === "name" &&
    value?.kind === "binary" &&
    value.sign === "+" &&
    left?.sign === target.sign &&
    right?.kind === "number"
  );
}

/** A place that goes on by one begins anew behind the last element: the rest of a division by the list's length. */
function mends(context: EditContext): Proposal[] {
  const { divides, lengthOf } = context.writing;
  if (!lengthOf) return [];
  // Where lists begin with 1, and where the rest is a function, it is written in another way.
  if (!/^[%\w]+$/.test(divides.rest) || !context.writing.firstElement("").includes("0")) return [];
  const { positions } = usageOf(context);
  return ofKind(context, "assignment").flatMap(({ node, around }) => {
    const value = part(node, "value");
    const name = part(node, "target")?.sign ?? "";
    if (!value || !goesOn(node, around)) return [];
    const text = context.sourceOf(value);
    return [...(positions.get(name) ?? [])].map((list) => {
      const after = `(${text}) ${divides.rest} ${lengthOf(list)}`;
      return change(value, after, { before: text, after }, 1);
    });
  });
}

/** The rest of a division as a place, in a language whose lists begin with 1: `mod(h - 1, 4) + 1` for `mod(h, 4)`. */
function fromOne(context: EditContext): Proposal[] {
  const { rest } = context.writing.divides;
  if (context.language.profile.firstIndex !== 1) return [];
  return ofKind(context, "call", "index").flatMap(({ node }) =>
    parts(node, "argument").flatMap((place) => {
      const value = parts(place, "argument")[0];
      if (place.kind !== "call" || calledName(place) !== rest || !value || !picksOf(context, node)) return [];
      const [before, inner] = [context.sourceOf(place), context.sourceOf(value)];
      const less = `${context.text.slice(place.from, value.from)}${inner} - 1${context.text.slice(value.to, place.to)} + 1`;
      return [
        change(place, less, { before, after: less }, 1),
        change(place, `${before} + 1`, { before, after: `${before} + 1` }, 0.8),
      ];
    }),
  );
}

/** True for what picks an element of a list that the program has. */
const picksOf = (context: EditContext, node: SyntaxNode) =>
  node.kind === "index" || context.names.includes(calledName(node));

/** The rest of a division by a length, left out. */
function plants(context: EditContext): Proposal[] {
  return ofKind(context, "binary").flatMap(({ node }) => {
    const [left, right] = [part(node, "left"), part(node, "right")];
    if (node.sign !== context.writing.divides.rest || node.role !== "value" || !left || !right) return [];
    if (right.kind !== "call" && right.kind !== "field") return [];
    const inner = left.kind === "group" && left.children[0] ? left.children[0] : left;
    return [
      change(node, context.sourceOf(inner), { before: context.sourceOf(node), after: bracketed(context, inner) }),
    ];
  });
}

/** A place that is to begin anew behind the last element, and goes on. */
export const wrapped: EditFamily = {
  id: "wrapped",
  says: "a place that has to begin anew behind the last one",
  weight: 5,
  reads: "tree",
  mends: (context) => [...mends(context), ...fromOne(context)],
  plants,
  examples: [
    {
      language: "python",
      right: "turn = 0\nfor day in days:\n    print(names[turn])\n    turn = (turn + 1) % len(names)\n",
      faulty: "turn = 0\nfor day in days:\n    print(names[turn])\n    turn = turn + 1\n",
    },
    {
      language: "java",
      right:
        "class Main { void f(int[] a) { int k = 0; for (int i = 0; i < 9; i++) { g(a[k]); k = (k + 1) % a.length; } } }",
      faulty: "class Main { void f(int[] a) { int k = 0; for (int i = 0; i < 9; i++) { g(a[k]); k = k + 1; } } }",
    },
  ],
};
