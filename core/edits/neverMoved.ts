import { isLoop, part, type SyntaxNode } from "../syntax/tree.ts";
import type { EditContext, Placed } from "./edit.ts";
import { functionAround, isAddressTaken, ofKind, otherTruth } from "./places.ts";
import { isDeclaredIn, isSetOnce } from "./prepared.ts";
import { scopesOf } from "./scopes.ts";

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
  return [...countsOfProgram(context), ...countsBegun(context)];
}

/** Numbers of the program, or of a class, that are declared without a value, are read and are given none anywhere. */
function countsOfProgram(context: EditContext): NeverMoved[] {
  if (context.writing.variables !== "declared in place") return [];
  const { mayCount } = scopesOf(context);
  return ofKind(context, "declaration").flatMap((placed) => {
    const [type, made] = placed.node.children;
    const name = made?.kind === "name" ? (made.sign ?? "") : "";
    const isCount = type?.kind === "type" && made?.role === "definition" && mayCount(name);
    if (!isCount || name === "" || placed.node.children.length !== 2 || functionAround(placed.around)) return [];
    if (/^\s*\[/.test(context.text.slice(made?.to ?? 0))) return [];
    const isRead = context.nodes.some(
      ({ node }) => node.kind === "name" && node.sign === name && !gives.has(node.role),
    );
    // By its name, or as a part of an object: this.depth = depth.
    const isGiven = context.nodes.some(
      ({ node }) => node.sign === name && node !== made && (gives.has(node.role) || node.kind === "parameter"),
    );
    return isRead && !isGiven && !isAddressTaken(context.text, name) ? [{ name, placed }] : [];
  });
}

/** The same of those that begin with 0 where something is done several times. */
function countsBegun(context: EditContext): NeverMoved[] {
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
    const owner = functionAround(placed.around);
    // What another function calls by that name, as its parameter or a name of its own, is not the same one.
    const isOther = (around: readonly SyntaxNode[]) => {
      const other = functionAround(around);
      return other !== owner && other !== undefined && isDeclaredIn(other, name);
    };
    const given = givings(context, name).filter(
      (each) => each.around.at(-1)?.kind !== "declaration" && !isOther(each.around),
    );
    const isChanged = context.nodes.some(({ node: each, around }) => {
      const parent = around.at(-1);
      // As a part of an object: found.boats.add(boat).
      if (each.kind === "field" && each.sign === name)
        return each.role === "argument" || (parent?.kind === "field" && fills.includes(parent.sign ?? ""));
      if (each.kind !== "name" || each.sign !== name || each === target || isOther(around)) return false;
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

/** An element that a decision asks for and nothing ever sets: as it is written there, what it would be set to, and the decision. */
export type NeverSet = { element: string; value: string; decision: SyntaxNode; turned: boolean };

/** Elements of lists of truth values that begin as false, are asked for in decisions, and are set nowhere. */
export function elementsNeverSet(context: EditContext): NeverSet[] {
  return ofKind(context, "if").flatMap(({ node }) => {
    const condition = part(node, "condition");
    if (!condition) return [];
    const turned = condition.kind === "unary";
    const asked = unwrapped(turned ? condition.children[0] : condition);
    const list = asked?.kind === "index" ? listOf(asked) : undefined;
    const value = list?.sign ? trueFor(context, list.sign) : undefined;
    if (!asked || !list?.sign || value === undefined || isSetSomewhere(context, list.sign)) return [];
    return [{ element: context.sourceOf(asked), value, decision: node, turned }];
  });
}

/** What stands in brackets. */
function unwrapped(node: SyntaxNode | undefined): SyntaxNode | undefined {
  return node?.kind === "group" ? unwrapped(node.children[0]) : node;
}

/** The name of the list that an element is picked of, however many places it has. */
function listOf(element: SyntaxNode): SyntaxNode | undefined {
  const object = part(element, "object");
  return object?.kind === "index" ? listOf(object) : object?.kind === "name" ? object : undefined;
}

/** The word for true, where a list is made of nothing but false; undefined for every other one. */
function trueFor(context: EditContext, list: string): string | undefined {
  const made = context.nodes.find(
    ({ node }) =>
      (node.kind === "assignment" || node.kind === "declaration") &&
      node.children.some((child) => child.sign === list && gives.has(child.role)),
  );
  if (!made) return undefined;
  const around = made.around.at(-1);
  const text = context.sourceOf(around?.kind === "declaration" ? around : made.node);
  const written = /\bfalse\b/i.exec(text)?.[0];
  if (written) return /\btrue\b/i.test(text) ? undefined : otherTruth(written);
  return /\bbool(?:ean)?\b/i.test(text) ? "true" : undefined;
}

/** True where an element of a list gets a value, or the list is handed to something that could give it one. */
function isSetSomewhere(context: EditContext, list: string): boolean {
  return context.nodes.some(({ node, around }) => {
    if (node.kind !== "name" || node.sign !== list) return false;
    const parent = around.at(-1);
    const made = node.role === "target" && context.sourceOf(parent ?? node).match(/false/i) === null;
    return made || (node.role === "argument" && parent?.kind === "call") || around.some(isElementGiven(node));
  });
}

/** Whether a piece is an element that gets a value, with a name inside as its list. */
const isElementGiven = (name: SyntaxNode) => (piece: SyntaxNode) =>
  piece.kind === "index" && piece.role === "target" && listOf(piece) === name;
