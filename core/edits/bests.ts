import { isLoop, part, type SyntaxNode } from "../syntax/tree.ts";
import type { EditContext } from "./edit.ts";
import { givenBy } from "./exchanged.ts";
import { isOrder, namesIn, ofKind } from "./places.ts";
import { usageOf } from "./usage.ts";

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
  return ofKind(context, "if").flatMap(({ node, around }) => {
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
