import { isLoop, nodesOf, part, type SyntaxNode } from "../syntax/tree.ts";
import type { EditContext, Placed } from "./edit.ts";
import { functionAround, namesIn, ofKind } from "./places.ts";

/** A name to which something is added, with the place where that is done. */
export type Gathering = { name: string; placed: Placed };

/** What is gathered in a program: counts, sums, products, joined texts. */
export function gatherings(context: EditContext): Gathering[] {
  return ofKind(context, "assignment").flatMap((placed) => {
    const { node } = placed;
    const target = part(node, "target");
    if (target?.kind !== "name" || placed.around.some((each) => each.role === "start" || each.role === "step"))
      return [];
    // What makes a function of a name (`k => k`) gives it nothing.
    if (node.sign?.endsWith(">")) return [];
    const value = part(node, "value");
    const adds =
      node.sign !== context.writing.assign || (value?.kind === "binary" && namesIn(value).includes(target.sign ?? ""));
    return adds ? [{ name: target.sign ?? "", placed }] : [];
  });
}

/** True for a value that something begins with: a number, a text, nothing yet, an empty list. */
function isPlain(context: EditContext, value: SyntaxNode): boolean {
  if (["number", "constant", "text"].includes(value.kind)) return true;
  if (value.kind === "unary") return value.children[0]?.kind === "number";
  return (value.kind === "list" || value.sign === "new") && /^[^\w]*$|^new\b.*\(\)$/.test(context.sourceOf(value));
}

/** The plain values that a name is given, each with its place. */
export function startsOf(context: EditContext, name: string): Array<{ value: string; placed: Placed }> {
  return ofKind(context, "assignment").flatMap((placed) => {
    const target = part(placed.node, "target") ?? part(placed.node, "definition");
    const value = part(placed.node, "value");
    if (target?.sign !== name || target.kind !== "name" || placed.node.sign !== context.writing.assign) return [];
    return value && isPlain(context, value) ? [{ value: context.sourceOf(value), placed }] : [];
  });
}

/** Numbers 0 with which something begins that is only ever multiplied: it stays so. */
export function productsOfZero(context: EditContext): Array<{ name: string; value: SyntaxNode }> {
  const found = new Map<string, Array<{ sign: string; placed: Placed }>>();
  for (const { name, placed } of gatherings(context)) {
    const { node } = placed;
    const sign = node.sign === context.writing.assign ? (part(node, "value")?.sign ?? "") : (node.sign ?? "");
    found.set(name, [...(found.get(name) ?? []), { sign, placed }]);
  }
  return [...found].flatMap(([name, gathered]) => {
    if (!gathered.every(({ sign }) => /^\.?\*=?$/.test(sign))) return [];
    const starts = startsOf(context, name);
    const isZero = starts.length > 0 && starts.every(({ value }) => /^0(?:\.0*)?$/.test(value));
    return isZero
      ? starts.flatMap(({ placed }) => part(placed.node, "value") ?? []).map((value) => ({ name, value }))
      : [];
  });
}

/**
 * Where something that is gathered may have to begin anew: behind the last statement of a decision in its loop that asks
 * for it or uses it, before the loop that gathers it in each pass of another one, and before the first loop of a function
 * that does not make it itself. `start` is the value that it begins with elsewhere, else the number 0.
 */
export type Anew = { name: string; start: string; statement: SyntaxNode; where: "before" | "behind"; odds: number };

export function missingStarts(context: EditContext): Anew[] {
  const found = new Map<string, Anew>();
  for (const { name, placed } of gatherings(context)) {
    const starts = startsOf(context, name);
    const start = starts[0]?.value ?? "0";
    const startsIn = (node: SyntaxNode) =>
      starts.some((each) => each.placed.node.from >= node.from && each.placed.node.to <= node.to);
    const add = (statement: SyntaxNode | undefined, where: Anew["where"], odds: number) => {
      const key = `${name} ${where} ${statement?.from}`;
      if (statement && !found.has(key)) found.set(key, { name, start, statement, where, odds });
    };
    const loops = placed.around.filter(isLoop);
    const [outer, inner] = [loops.at(-2), loops.at(-1)];
    if (inner && outer && !startsIn(outer)) add(inner, "before", isRead(context, name, outer, inner) ? 1.2 : 0.4);
    if (inner)
      for (const decision of nodesOf(inner).filter((each) => each.kind === "if")) {
        const body = part(decision, "body");
        const last = body?.kind === "block" ? body.children.at(-1) : undefined;
        if (!body || placed.around.includes(body) || startsIn(body)) continue;
        const asks = namesIn(part(decision, "condition") ?? decision).includes(name);
        if (asks || namesIn(body).includes(name)) add(last, "behind", asks ? 1 : 0.8);
      }
    const owner = functionAround(placed.around);
    const first = loops[0];
    const isMade =
      owner && nodesOf(owner).some((each) => each.role === "definition" && each.kind === "name" && each.sign === name);
    if (owner && first && !startsIn(owner) && !isMade) add(first, "before", starts.length === 0 ? 1.2 : 0.5);
  }
  return [...found.values()];
}

/** True where a name is read in a loop outside of the one in it that gathers it. */
function isRead(context: EditContext, name: string, outer: SyntaxNode, inner: SyntaxNode): boolean {
  return context.nodes.some(
    ({ node }) =>
      node.kind === "name" &&
      node.sign === name &&
      node.role !== "target" &&
      node.from >= outer.from &&
      node.to <= outer.to &&
      (node.from < inner.from || node.from >= inner.to),
  );
}
