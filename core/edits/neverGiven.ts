import { isLoop, isStatement, nodesOf, part, type SyntaxNode } from "../syntax/tree.ts";
import { beside } from "./beside.ts";
import type { EditContext, Placed, Proposal } from "./edit.ts";
import { functionAround, isOrder, namesIn, otherTruth } from "./places.ts";

/** A name that is used before it has any value, with its uses in the order of the text and the function they are in. */
export type NeverGiven = { name: string; uses: readonly Placed[]; owner: SyntaxNode | undefined };

/** True where a name comes to be: as a target, alone or among others, as a definition, a parameter, by an import. */
function isMade({ node, around }: Placed): boolean {
  const outer = around.at(-1);
  if (outer?.kind === "list" && outer.role === "target") return true;
  return node.role === "target" || node.role === "definition" || node.kind === "parameter" || node.kind === "import";
}

/** True where what a name holds is read: what is only added to was something before. */
const isRead = (placed: Placed) =>
  !isMade(placed) || (placed.node.role === "target" && /^[-+*/]=|^(?:\+\+|--)$/.test(placed.around.at(-1)?.sign ?? ""));

/** True for a name that gets a value of its own where it stands: not one that is only added to, or worked out of itself. */
function isGivenAt({ writing }: EditContext, { node, around }: Placed, name: string): boolean {
  const assignment = around.findLast((each) => each.kind === "assignment");
  const value = assignment && part(assignment, "value");
  if (!assignment || !value || node.role !== "target") return true;
  return assignment.sign === writing.assign && !namesIn(value).includes(name);
}

/** True where a name gets its value in a decision without another case, and is used outside of that. */
function isOnlySometimes(given: Placed, around: readonly SyntaxNode[]): boolean {
  return given.around.some((each) => each.kind === "if" && !part(each, "otherwise") && !around.includes(each));
}

/**
 * Names that are used in a function, or outside of all, before anything gives them a value there or for the whole program, in
 * a language whose names come to be by their first value. At most four, the first used first.
 */
export function neverGiven(context: EditContext): NeverGiven[] {
  if (context.writing.variables !== "by assignment") return [];
  const everywhere = new Set<string>();
  const given: Placed[] = [];
  for (const placed of context.nodes) {
    const { node } = placed;
    const made = node.kind === "list" && node.role !== "target" ? boundIn(node) : [];
    if (node.kind === "import") for (const [word] of context.sourceOf(node).matchAll(/\w+/g)) everywhere.add(word);
    // What is handed in, caught, opened or gone over is known from its word on; no difference is made between places.
    if (node.kind === "parameter" || node.kind === "try" || made.length > 0)
      for (const name of [node.sign ?? "", ...made, ...(node.kind === "try" ? headNames(node) : namesIn(node))])
        everywhere.add(name);
    if (node.kind === "name" && isMade(placed)) given.push(placed);
  }
  const found = new Map<string, NeverGiven & { uses: Placed[] }>();
  for (const placed of context.nodes) {
    const { node, around } = placed;
    const name = node.sign ?? "";
    if (node.kind !== "name" || !isRead(placed) || !/^(?!__)\w+$/.test(name) || context.language.ownWords.has(name))
      continue;
    if (everywhere.has(name) || context.functions.includes(name) || node.role === "callee") continue;
    const owner = functionAround(around);
    const known = given.some(
      (each) =>
        each.node.sign === name &&
        isGivenAt(context, each, name) &&
        !isOnlySometimes(each, around) &&
        (functionAround(each.around) === owner
          ? each.node.from < node.from
          : functionAround(each.around) === undefined),
    );
    const key = `${owner?.from ?? ""} ${name}`;
    const before = found.get(key);
    if (before) before.uses.push(placed);
    else if (!known) found.set(key, { name, uses: [placed], owner });
  }
  return [...found.values()].slice(0, 4);
}

/** Names that stand for elements inside a list that is made by going over another one. */
function boundIn(list: SyntaxNode): string[] {
  return list.children[0]?.role === "value" ? list.children.slice(1).flatMap((each) => namesIn(each)) : [];
}

/** Names that stand in what heads a piece, and not in its blocks. */
function headNames(node: SyntaxNode): string[] {
  return node.children.filter(({ kind }) => kind !== "block").flatMap((each) => namesIn(each));
}

/** What a name is used as: something to put into, a text, nothing yet, a number. */
export function usedAs(
  context: EditContext,
  uses: readonly Placed[],
): "list" | "table" | "text" | "truth" | "nothing" | "number" {
  const { fills = [], nothing = "" } = context.writing;
  for (const { node, around } of uses) {
    const parent = around.at(-1);
    if (parent?.kind === "field" && fills.includes(parent.sign ?? "")) return "list";
    if (parent?.kind === "index" && parent.role === "target" && node.role === "object") return "table";
    if (parent?.kind === "binary" && nothing !== "" && part(parent, "right")?.sign === nothing) return "nothing";
    if (parent?.kind === "binary" && isOrder(parent.sign)) return "number";
  }
  const asked = uses.some(({ node, around }) => node.role === "condition" || around.at(-1)?.kind === "unary");
  const truths = uses.flatMap(({ around }) => {
    const parent = around.at(-1);
    return (parent && part(parent, "value")?.sign) ?? [];
  });
  if (asked || truths.some((each) => otherTruth(each) !== undefined)) return "truth";
  const added = uses.flatMap(({ around }) => around.filter(({ kind }) => kind === "assignment").slice(-1));
  return added.some((each) => nodesOf(each).some(({ kind }) => kind === "text")) ? "text" : "number";
}

/** First values as a language writes them, the likeliest for a use first. */
function valuesFor(context: EditContext, uses: readonly Placed[]): string[] {
  const { beginnings, nothing, firstValues = {} } = context.writing;
  const likely = { number: ["0", "1"], nothing: [nothing ?? "0"], ...firstValues }[usedAs(context, uses)] ?? [];
  return [...new Set([...likely, "0", ...beginnings.slice(0, 2), "1"])];
}

/** The statement around a use that is in no loop, then each loop around it from the inside out. */
function placesFor({ node, around }: Placed): { statement: SyntaxNode | undefined; loops: SyntaxNode[] } {
  const own = around.slice(around.findLastIndex((each) => each.kind === "function") + 1);
  return {
    statement: isStatement(node) ? node : own.findLast(isStatement),
    loops: own.filter((each, at) => isLoop(each) && own[at + 1]?.role === "body").toReversed(),
  };
}

/**
 * A first value put in before the loop in which a name is used that has none: the outermost one where it is used behind that,
 * or the loop inside it where all that becomes of the name is in the outer one.
 */
export function firstValuesPutIn(context: EditContext): Proposal[] {
  return neverGiven(context).flatMap(({ name, uses, owner }) => {
    const [first] = uses;
    if (!first) return [];
    const all = context.nodes.filter(
      ({ node, around }) => node.kind === "name" && node.sign === name && functionAround(around) === owner,
    );
    const { statement, loops } = placesFor(all[0] ?? first);
    const end = Math.max(...all.map(({ node }) => node.to));
    // Used behind a loop: before that. Used in it alone: in it, before the one inside, or before it.
    const likeliest = loops.findLast((loop) => loop.to < end) ?? loops[0];
    const places = loops.length > 0 ? loops : statement ? [statement] : [];
    return places.flatMap((place) =>
      valuesFor(context, all).flatMap((value, at) =>
        beside(
          context,
          place,
          `${name} ${context.writing.assign} ${value}`,
          "before",
          (place === likeliest || loops.length === 0 ? 2 : 1) * (at === 0 ? 2 : at < 3 ? 0.6 : 0.3),
        ).map((proposal) => ({ ...proposal, parameters: { name, value } })),
      ),
    );
  });
}
