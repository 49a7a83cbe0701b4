import { part, type SyntaxNode } from "../syntax/tree.ts";
import type { EditContext, Placed } from "./edit.ts";
import { calledName, namesIn, ofKind } from "./places.ts";

/** How a program uses the names of its values. */
export type Usage = {
  /** Names that are given a value and that nothing reads, with where they last get one. */
  unread: ReadonlyMap<string, Placed>;
  /** Names by which an element is picked of something, with what it is picked of. */
  positions: ReadonlyMap<string, ReadonlySet<string>>;
};

const found = new WeakMap<EditContext, Usage>();

/** Reads the usage of a program's names from its tree; contexts are shared, so it is done once for each. */
export function usageOf(context: EditContext): Usage {
  const known = found.get(context);
  if (known) return known;
  const usage = { unread: unreadNames(context), positions: positionNames(context) };
  found.set(context, usage);
  return usage;
}

/** True where a name's place gives it a value and does not read it. */
function onlyGives({ node, around }: Placed): boolean {
  const parent = around.at(-1);
  if (node.role === "definition") return true;
  return node.role === "target" && parent?.kind === "assignment" && !/^(?:\+\+|--)$/.test(parent.sign ?? "");
}

/** True for an assignment that gives a name something worked out of itself: total = total + load. */
function isOwnGathering(node: SyntaxNode, name: string): boolean {
  const target = node.kind === "assignment" ? part(node, "target") : undefined;
  return target?.kind === "name" && target.sign === name && part(node, "value")?.kind === "binary";
}

function unreadNames(context: EditContext): Map<string, Placed> {
  const given = new Map<string, Placed>();
  const read = new Set<string>();
  for (const placed of context.nodes) {
    const { node, around } = placed;
    if (node.kind !== "name" && node.kind !== "parameter") continue;
    const name = node.sign ?? "";
    const parent = around.at(-1);
    // What is handed in, walked or made of several parts is often not needed, and no sign of a mistake.
    if (node.kind === "parameter" || parent?.kind === "foreach" || parent?.kind === "parameter") read.add(name);
    else if (parent?.kind === "list" && parent.role === "target") read.add(name);
    else if (parent?.kind === "function" || parent?.kind === "class") read.add(name);
    // What a loop counts by is often not needed, either.
    else if (around.some((each) => each.role === "start")) read.add(name);
    else if (onlyGives(placed)) {
      if (parent?.kind === "assignment") given.set(name, placed);
    } else if (!around.some((each) => isOwnGathering(each, name))) read.add(name);
  }
  // What is kept in a part of an object is read where that part is asked for.
  for (const { node } of context.nodes) if (node.kind === "field" && node.role !== "target") read.add(node.sign ?? "");
  // A name inside a text that is filled in, or in a piece that is not taken apart, is read as well.
  for (const { node } of context.nodes)
    if (node.kind === "text" || node.kind === "other" || node.kind === "error")
      for (const word of context.sourceOf(node).match(/[\p{L}_][\p{L}\p{N}_]*/gu) ?? []) read.add(word);
  for (const name of [...given.keys()]) if (read.has(name) || /^_|^[A-Z0-9_]+$/.test(name)) given.delete(name);
  return given;
}

function positionNames(context: EditContext): Map<string, Set<string>> {
  const positions = new Map<string, Set<string>>();
  for (const { node } of ofKind(context, "index")) {
    const [object, at] = [part(node, "object"), part(node, "argument")];
    if (!object || at?.kind !== "name") continue;
    const names = positions.get(at.sign ?? "") ?? new Set<string>();
    positions.set(at.sign ?? "", names.add(context.sourceOf(object)));
  }
  return positions;
}

/**
 * Where a name by which elements of a list are picked gets an element of that list (or a part of one) instead of its place:
 * the name, what it gets, and the name by which that is picked.
 */
export function elementsForPlaces(context: EditContext): ElementForPlace[] {
  return [...elementsForPositions(context), ...elementsTwice(context)];
}

/** A name that gets an element, and the name by which that is picked: the place that the first may be meant to keep. */
export type ElementForPlace = { target: string; value: SyntaxNode; place: string };

/** In a decision on the best one so far, the same element given to the best one and to a name beside it. */
function elementsTwice(context: EditContext): ElementForPlace[] {
  return ofKind(context, "if").flatMap(({ node }) => {
    const [condition, body] = [part(node, "condition"), part(node, "body")];
    if (!condition || body?.kind !== "block") return [];
    const asked = new Set(namesIn(condition));
    const given = body.children.flatMap((statement) => {
      const [inner] = statement.children;
      const [target, value] = inner?.kind === "assignment" ? [part(inner, "target"), part(inner, "value")] : [];
      return target?.kind === "name" && value ? [{ target: target.sign ?? "", value }] : [];
    });
    return given.flatMap(({ target, value }) => {
      const same = given.some(
        (each) =>
          each.value !== value && asked.has(each.target) && context.sourceOf(each.value) === context.sourceOf(value),
      );
      const picks = value.kind === "index" || (value.kind === "call" && context.names.includes(calledName(value)));
      const at = picks ? part(value, "argument") : undefined;
      return same && !asked.has(target) && at?.kind === "name" ? [{ target, value, place: at.sign ?? "" }] : [];
    });
  });
}

function elementsForPositions(context: EditContext): ElementForPlace[] {
  const { positions } = usageOf(context);
  return ofKind(context, "assignment").flatMap(({ node }) => {
    const [target, value] = [part(node, "target") ?? node.children[0], part(node, "value")];
    if (target?.kind !== "name" || !value || value === target) return [];
    const lists = positions.get(target.sign ?? "");
    const picked = value.kind === "field" ? (part(value, "object") ?? value.children[0]) : value;
    if (!lists || picked?.kind !== "index") return [];
    const [object, at] = [part(picked, "object"), part(picked, "argument")];
    if (!object || at?.kind !== "name" || !lists.has(context.sourceOf(object))) return [];
    if (at.sign === target.sign) return [];
    return [{ target: target.sign ?? "", value, place: at.sign ?? "" }];
  });
}
