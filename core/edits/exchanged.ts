import { isLoop, isStatement, part, type SyntaxNode } from "../syntax/tree.ts";
import type { EditContext, Placed } from "./edit.ts";
import { blocksOf, isOrder, namesIn, ofKind } from "./places.ts";
import { usageOf } from "./usage.ts";

/** The assignment of a name, element or part that is all of a statement. */
function givenBy(node: SyntaxNode): { target: SyntaxNode; value: SyntaxNode } | null {
  const given = node.kind === "assignment" ? node : node.children.length === 1 ? node.children[0] : undefined;
  const [target, value] = given?.kind === "assignment" ? [part(given, "target"), part(given, "value")] : [];
  return target && value ? { target, value } : null;
}

/**
 * Two neighbours that were to be exchanged: `a = b` and then `b = a`, by which both are the second. `value` is what the
 * latter gives, `kept` a name that was given the value of the first before, if there is one.
 */
export function lostExchanges(context: EditContext): Array<{ first: SyntaxNode; value: SyntaxNode; kept?: string }> {
  const source = (node: SyntaxNode) => context.sourceOf(node).replace(/\s+/g, "");
  return blocksOf(context).flatMap(({ statements }) =>
    statements.flatMap((statement, at) => {
      const before = statements[at - 1];
      const [first, second] = [before && givenBy(before), givenBy(statement)];
      if (!before || !first || !second || source(first.target) !== source(second.value)) return [];
      if (source(first.value) !== source(second.target) || source(first.target) === source(first.value)) return [];
      const earlier = statements.slice(0, at - 1).flatMap((each) => {
        const given = ofKind(context, "assignment").find(
          ({ node }) => node.from >= each.from && node.to <= each.to && part(node, "value"),
        )?.node;
        const [target, value] = given ? [part(given, "target") ?? part(given, "definition"), part(given, "value")] : [];
        return target?.kind === "name" && value && source(value) === source(first.target) ? [target.sign ?? ""] : [];
      });
      const kept = earlier.at(-1);
      return [{ first: before, value: second.value, ...(kept ? { kept } : {}) }];
    }),
  );
}

/** What stands behind a statement that leaves its block: nothing carries it out. */
export function neverReached(context: EditContext): Array<{ left: SyntaxNode; statement: SyntaxNode }> {
  return blocksOf(context).flatMap(({ block, statements }) => {
    if (block.kind !== "block") return [];
    const at = statements.findIndex(({ kind }) => kind === "return" || kind === "leave");
    const [left, statement] = [statements[at], statements[at + 1]];
    if (at < 0 || !left || !statement || !isStatement(statement) || statement.kind === "function") return [];
    // A case of a choice begins behind the end of the one before it.
    if (
      context.code.some(
        ({ from, text }) => from >= left.to && from < statement.from && /^(?:case|default|:)$/.test(text),
      )
    )
      return [];
    return [{ left, statement }];
  });
}

/** A best value so far that is compared as a value and set as a place: `if a[i] > best: best = i`. */
export type MixedBest = {
  name: string;
  /** The best one in the comparison, and what would stand there if it were a place. */
  compared: SyntaxNode;
  element: string;
  /** What it is given, and what it would be given if it were a value. */
  value: SyntaxNode;
  whole: string;
  /** True where elements are picked by it elsewhere, so that it is meant as a place. */
  isPlace: boolean;
};

/** Places where the best one so far is compared as a value and set as a place. */
export function mixedBests(context: EditContext): MixedBest[] {
  const { positions } = usageOf(context);
  return ofKind(context, "if").flatMap(({ node, around }: Placed) => {
    const [condition, body] = [part(node, "condition"), part(node, "body")];
    const comparison = condition?.kind === "group" ? condition.children[0] : condition;
    const sides = [comparison && part(comparison, "left"), comparison && part(comparison, "right")];
    if (!comparison || !body || comparison.kind !== "binary" || !isOrder(comparison.sign)) return [];
    return ([0, 1] as const).flatMap((at) => {
      const [compared, element] = [sides[at], sides[1 - at]];
      if (compared?.kind !== "name" || !element || !["index", "call", "field"].includes(element.kind)) return [];
      const name = compared.sign ?? "";
      return (body.kind === "block" ? body.children : [body]).flatMap((statement) => {
        const given = givenBy(statement);
        const place = given?.value;
        if (given?.target.sign !== name || place?.kind !== "name" || place.sign === name) return [];
        if (!picks(element, place.sign ?? "")) return [];
        const text = context.sourceOf(element);
        const word = new RegExp(`(?<![\\w.])${place.sign}(?!\\w)`, "g");
        return [
          {
            ...{ name, compared, value: place, whole: text },
            element: text.replace(word, name),
            isPlace: positions.has(name) || isHandedOn(context, name, compared) || beginsBefore(context, name, around),
          },
        ];
      });
    });
  });
}

/** True if an element is picked by a name in a piece: as an index, or handed to what gives one. */
function picks(node: SyntaxNode, name: string): boolean {
  if (["index", "call"].includes(node.kind))
    return node.children.some((child) => child.role === "argument" && namesIn(child).includes(name));
  return node.children.some((child) => picks(child, name));
}

/** True where something else is added to a name or asked of it that only makes sense for a place: `best + 1`. */
function isHandedOn(context: EditContext, name: string, beside: SyntaxNode): boolean {
  return ofKind(context, "binary").some(({ node }) => {
    const [left, right] = [part(node, "left"), part(node, "right")];
    return /^[+-]$/.test(node.sign ?? "") && left?.sign === name && left !== beside && right?.sign === "1";
  });
}

/** True where a name begins with the number before the one that the loop around begins to count with: the first place. */
function beginsBefore(context: EditContext, name: string, around: readonly SyntaxNode[]): boolean {
  const loop = around.findLast(isLoop);
  const body = loop && part(loop, "body");
  const counted = body && /[=(]\s*(\d+)\b/.exec(context.text.slice(loop.from, body.from))?.[1];
  return ofKind(context, "assignment").some(({ node }) => {
    const [target, value] = [part(node, "target") ?? part(node, "definition"), part(node, "value")];
    return target?.sign === name && value?.kind === "number" && Number(value.sign) + 1 === Number(counted);
  });
}

/** A counter of a counted loop that is read behind its loop, where it has no value that a program may rely on. */
export function countersRead(context: EditContext): Array<{ name: string; place: SyntaxNode }> {
  return blocksOf(context).flatMap(({ statements }) =>
    statements.flatMap((loop, at) => {
      const counter = loop.kind === "for" ? loop.children.flatMap(namesIn)[0] : undefined;
      if (!counter) return [];
      for (const { node, around } of context.nodes) {
        if (node.from < loop.to || node.kind !== "name" || node.sign?.toLowerCase() !== counter.toLowerCase()) continue;
        const next = statements.slice(at + 1).find((each) => node.from >= each.from && node.to <= each.to);
        if (!next) return [];
        const isGiven =
          node.role === "target" || node.role === "definition" || around.some(({ kind }) => kind === "for");
        return isGiven ? [] : [{ name: counter, place: node }];
      }
      return [];
    }),
  );
}
