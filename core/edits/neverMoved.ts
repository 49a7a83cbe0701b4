import { isLoop, part } from "../syntax/tree.ts";
import type { EditContext, Placed } from "./edit.ts";
import { functionAround, ofKind } from "./places.ts";
import { isSetOnce } from "./prepared.ts";

/** A name that begins and never goes on, with the place where it begins. */
export type NeverMoved = { name: string; placed: Placed };

/** What a name is where it gets a value. */
const gives = new Set<string | undefined>(["target", "definition"]);

/** Where a name gets a value: assignments, declarations with a value, parameters, loops. */
function givings(context: EditContext, name: string): Placed[] {
  return context.nodes.filter(
    ({ node }) => node.sign === name && ((node.kind === "name" && gives.has(node.role)) || node.kind === "parameter"),
  );
}

/**
 * Counts that begin with 0 and never go on, though they are read behind that: names of a program that are given this one
 * value, once, where something is done several times in the same function.
 */
export function countsNeverMoved(context: EditContext): NeverMoved[] {
  return ofKind(context, "assignment").flatMap((placed) => {
    const { node, around } = placed;
    const target = part(node, "target") ?? part(node, "definition");
    const name = target?.kind === "name" ? (target.sign ?? "") : "";
    const isZero = part(node, "value")?.kind === "number" && context.sourceOf(part(node, "value") ?? node) === "0";
    if (!name || !isZero || around.some((each) => isLoop(each) || each.role === "start")) return [];
    const read = context.nodes.some(
      (each) =>
        each.node.kind === "name" && each.node.sign === name && each.node.from > node.to && !gives.has(each.node.role),
    );
    const owner = functionAround(around);
    const loops = context.nodes.some(
      (each) => isLoop(each.node) && functionAround(each.around) === owner && each.node.from > node.to,
    );
    return read && loops && isSetOnce(context, name, around) ? [{ name, placed }] : [];
  });
}

/**
 * Lists that begin empty and into which nothing is ever put: given an empty one once, never changed by a call or an element,
 * and handed on to nothing that could fill them.
 */
export function listsNeverFilled(context: EditContext): NeverMoved[] {
  const { fills = [] } = context.writing;
  if (fills.length === 0) return [];
  return ofKind(context, "assignment").flatMap((placed) => {
    const { node } = placed;
    const [target, value] = [part(node, "target") ?? part(node, "definition"), part(node, "value")];
    const name = target?.kind === "name" ? (target.sign ?? "") : "";
    const text = value ? context.sourceOf(value) : "";
    if (!name || !/^(?:\[\]|list\(\)|new \w*(?:List|Set|Queue|Stack)\w*(?:<[^()]*>)?\(\))$/.test(text)) return [];
    const given = givings(context, name).filter((each) => each.around.at(-1)?.kind !== "declaration");
    const isChanged = context.nodes.some(({ node: each, around }) => {
      if (each.kind !== "name" || each.sign !== name || each === target) return false;
      const parent = around.at(-1);
      // Called on it, an element of it, or handed to a function that may fill it.
      if (parent?.kind === "field") return fills.includes(parent.sign ?? "");
      if (parent?.kind === "index") return parent.role === "target";
      return (
        parent?.kind === "call" && each.role === "argument" && isFilledBy(context, part(parent, "callee")?.sign ?? "")
      );
    });
    return given.length === 1 && !isChanged ? [{ name, placed }] : [];
  });
}

/** True for a function of the program that puts something into a list, whichever. */
function isFilledBy(context: EditContext, name: string): boolean {
  const own = ofKind(context, "function").find(({ node }) =>
    node.children.some((child) => child.role === "definition" && child.sign === name),
  );
  return (
    own !== undefined &&
    context.nodes.some(
      ({ node, around }) =>
        around.includes(own.node) && node.kind === "field" && (context.writing.fills ?? []).includes(node.sign ?? ""),
    )
  );
}
