import { nodesOf, part, parts, type SyntaxNode } from "../syntax/tree.ts";
import type { EditContext } from "./edit.ts";
import { firstGivenBy } from "./exchanged.ts";
import { calledName, nameOfFunction, ofKind, parametersOf } from "./places.ts";

const decimalTypes = /^(?:double|float|real|decimal|single|extended|currency)$/i;
const decimalCalls = /^(?:float|parsedouble|todouble|strtofloat|sqrt|fabs|nextdouble)$/i;

/** The contexts are shared and never changed, so what was found of one is kept as long as it is. */
const found = new WeakMap<EditContext, ReadonlySet<string>>();

/** True for what is worked out with digits behind the point, where the program's own names of that kind are known. */
function isDecimal(context: EditContext, node: SyntaxNode | undefined, names: ReadonlySet<string>): boolean {
  if (!node) return false;
  if (node.kind === "number") return /\./.test(node.sign ?? "");
  if (node.kind === "name") return names.has(node.sign ?? "");
  if (node.kind === "group" || node.kind === "unary")
    return node.children.some((child) => isDecimal(context, child, names));
  if (node.kind === "cast") return decimalTypes.test(part(node, "type")?.sign ?? "");
  if (node.kind === "call") return decimalCalls.test(calledName(node));
  if (node.kind !== "binary" || !/^(?:[-+*/]|\*\*|\^)$/.test(node.sign ?? "")) return false;
  const divides =
    node.sign === "/" && context.writing.divides.decimal === "/" && context.writing.divides.whole !== null;
  return divides || [part(node, "left"), part(node, "right")].some((side) => isDecimal(context, side, names));
}

/** Names that hold decimal numbers: as they are declared, by what they are given, or by what their function is handed. */
export function decimalNames(context: EditContext): ReadonlySet<string> {
  const known = found.get(context);
  if (known) return known;
  const names = new Set<string>();
  for (const { node } of ofKind(context, "declaration", "parameter")) {
    if (!decimalTypes.test(node.children.find((child) => child.kind === "type")?.sign ?? "")) continue;
    if (node.kind === "parameter" && node.sign) names.add(node.sign);
    for (const each of nodesOf(node))
      if (each.role === "definition" && each.kind === "name") names.add(each.sign ?? "");
  }
  const parameters = new Map(ofKind(context, "function").map(({ node }) => [nameOfFunction(node), parametersOf(node)]));
  // What is given from one name to the next is followed twice; more of them stand in no beginner's program.
  for (const _ of context.writing.types.length > 0 ? [] : [1, 2]) {
    for (const { node } of ofKind(context, "statement")) {
      const given = firstGivenBy(node);
      if (given?.target.kind === "name" && isDecimal(context, given.value, names)) names.add(given.target.sign ?? "");
    }
    for (const { node } of ofKind(context, "call"))
      for (const [at, each] of parts(node, "argument").entries())
        if (isDecimal(context, each, names)) names.add(parameters.get(calledName(node))?.[at] ?? "");
  }
  names.delete("");
  found.set(context, names);
  return names;
}

/** Comparisons that ask whether two numbers are the same, at least one of which has digits behind the point; whole numbers written out left aside. */
export function decimalsCompared(context: EditContext): SyntaxNode[] {
  const names = decimalNames(context);
  const { equal, unequal } = context.writing;
  return ofKind(context, "binary").flatMap(({ node }) => {
    const sides = [part(node, "left"), part(node, "right")];
    if (node.sign !== equal && node.sign !== unequal) return [];
    const isWhole = sides.some((side) => side?.kind === "number" && !/\./.test(side.sign ?? ""));
    const isOther = sides.some((side) => side?.kind === "text" || side?.kind === "constant");
    return !isWhole && !isOther && sides.some((side) => isDecimal(context, side, names)) ? [node] : [];
  });
}
