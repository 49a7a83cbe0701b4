import { escaped } from "../source/escaped.ts";
import { isLoop, nodesOf, part, type SyntaxNode } from "../syntax/tree.ts";
import type { EditContext, Placed } from "./edit.ts";
import { givenBy } from "./exchanged.ts";
import { calledName, functionAround, isOrder, loopAround, namesIn, ofKind } from "./places.ts";
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
        const word = new RegExp(`(?<![\\w.])${escaped(place.sign ?? "")}(?!\\w)`, "g");
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

/** A step that keeps something of the best one so far and is written nowhere: behind `last`, which the decision holds. */
export type BestLeft = { last: SyntaxNode; name: string; value: string };

/** The places where a name is given a value, with the loop and the function that they stand in. */
function givenPlaces(context: EditContext): Map<string, Placed[]> {
  const places = new Map<string, Placed[]>();
  for (const placed of context.nodes) {
    const { node } = placed;
    const isGiven =
      node.kind === "parameter" || (node.kind === "name" && (node.role === "target" || node.role === "definition"));
    if (isGiven) places.set(node.sign ?? "", [...(places.get(node.sign ?? "") ?? []), placed]);
  }
  return places;
}

/** True for a name that begins with a value of its own outside of a loop, and gets no other one anywhere in its function. */
function neverMoves(
  context: EditContext,
  places: readonly Placed[],
  loop: SyntaxNode,
  owner: SyntaxNode | undefined,
): boolean {
  const own = places.filter(({ around }) => functionAround(around) === owner);
  // What a function gives back by its name stands in its header, and is given its value in its body.
  const values = own.filter(({ around }) => around.at(-1)?.kind === "assignment");
  const [only] = values;
  const value = only && part(only.around.at(-1) as SyntaxNode, "value");
  // A list that the loop goes over is no best one, and what is typed in is a limit.
  const begins = value !== undefined && ["number", "text", "constant", "unary", "index", "call"].includes(value.kind);
  const { library } = context.writing;
  const isTyped = value && nodesOf(value).some((each) => each.kind === "call" && library.reads(calledName(each)));
  return begins && !isTyped && values.length === 1 && own.length - values.length <= 1 && !only?.around.includes(loop);
}

/**
 * Steps that a decision on the best one so far leaves out: `best = load` where that is compared with and something else is
 * kept, and what else begins beside it and is never given anything: `place = i`.
 */
export function bestsLeft(context: EditContext): BestLeft[] {
  const places = givenPlaces(context);
  return ofKind(context, "if").flatMap(({ node, around }) => {
    const loop = loopAround(around);
    const owner = functionAround(around);
    const [condition, body] = [part(node, "condition"), part(node, "body")];
    const comparison = condition?.kind === "group" ? condition.children[0] : condition;
    const last = body?.kind === "block" ? body.children.at(-1) : undefined;
    if (!loop || !body || !last || comparison?.kind !== "binary" || !isOrder(comparison.sign)) return [];
    const sides = [part(comparison, "left"), part(comparison, "right")];
    const counted = countedBy(loop);
    const kept = body.children.flatMap((statement) => givenBy(statement) ?? []);
    const isFixed = (name: string) => neverMoves(context, places.get(name) ?? [], loop, owner);
    return ([0, 1] as const).flatMap((at): BestLeft[] => {
      const [compared, element] = [sides[at], sides[1 - at]];
      const name = compared?.kind === "name" ? (compared.sign ?? "") : "";
      if (!name || !element || !["name", "index", "call", "field"].includes(element.kind)) return [];
      const moves = kept.find(({ target }) => target.sign === name);
      if (!moves) return kept.length > 0 && isFixed(name) ? [{ last, name, value: context.sourceOf(element) }] : [];
      const inLoop = new Set(namesIn(loop));
      const beside = context.names.filter((each) => !inLoop.has(each) && isFixed(each));
      return beside.flatMap((each) => counted.map((value) => ({ last, name: each, value })));
    });
  });
}

/** What a loop counts or goes over by. */
function countedBy(loop: SyntaxNode): string[] {
  const counted = part(loop, "start") ?? part(loop, "target");
  return counted ? namesIn(counted).slice(0, 1) : [];
}
