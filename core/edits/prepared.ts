import { isLoop, isStatement, nodesOf, part, type SyntaxNode } from "../syntax/tree.ts";
import type { EditContext, Placed } from "./edit.ts";
import { functionAround, isAddressTaken, ofKind, otherTruth } from "./places.ts";

// What a program prepares and never goes on with: functions, counts and marks. (Values that nothing reads: usage.ts.)

/** A function that runs by itself: where there is none, and nothing stands outside of functions, a person chooses what is run. */
const begins = /^(?:main|setup|draw)$/i;

/** True for the function that a program begins with. */
export function runsFirst(node: SyntaxNode): boolean {
  return begins.test(node.children.find((child) => child.role === "definition")?.sign ?? "");
}

/** Functions of the program that nothing calls or hands on, where it is known what runs first. */
export function uncalled(context: EditContext): Placed[] {
  if (!context.functions.some((name) => begins.test(name)) && !context.tree.children.some(runsByItself)) return [];
  return ofKind(context, "function").filter(({ node, around }) => {
    const name = node.children.find((child) => child.role === "definition")?.sign ?? "";
    const isOwn =
      around.every((each) => each.kind !== "class") ||
      /\bstatic\b/.test(context.text.slice(node.from, node.children[0]?.to));
    // What is named after an object and what happens to it is called by that.
    if (!/^[\p{L}\p{N}_]+$/u.test(name) || !isOwn || begins.test(name) || /^_|_[A-Z]\w*$/.test(name)) return false;
    return (context.text.match(new RegExp(String.raw`\b${name}\b`, "g")) ?? []).length === 1;
  });
}

/** A statement or a block outside of functions. */
export const runsByItself = (node: SyntaxNode) => isStatement(node) || node.kind === "block";

/**
 * Elements that are put where a name says that never goes on: assignments that are done several times, in a loop or in a
 * function, with that name.
 */
export function putInOnePlace(context: EditContext): Array<{ placed: Placed; name: string }> {
  return ofKind(context, "assignment").flatMap((placed) => {
    const target = part(placed.node, "target");
    // What is put there may be a part of the element: items[count].pieces.
    const element = target?.kind === "field" ? part(target, "object") : target;
    const at = element?.kind === "index" ? part(element, "argument") : undefined;
    const name = at?.kind === "name" ? (at.sign ?? "") : "";
    const again = placed.around.some((each) => isLoop(each) || each.kind === "function");
    return name && again && isSetOnce(context, name, placed.around) ? [{ placed, name }] : [];
  });
}

/**
 * True for a name that is given one number, once; being declared gives it none. What another function calls by that name, as
 * its parameter or in a loop of its own, is not the same one.
 */
export function isSetOnce(context: EditContext, name: string, beside: readonly SyntaxNode[]): boolean {
  const owner = functionAround(beside);
  const given = context.nodes.filter(
    ({ node, around }) =>
      (functionAround(around) === owner || !isDeclaredIn(functionAround(around), name)) &&
      ((node.kind === "name" &&
        node.sign === name &&
        (node.role === "target" || node.role === "definition") &&
        !["function", "declaration"].includes(around.at(-1)?.kind ?? "")) ||
        (node.kind === "parameter" && node.sign === name)),
  );
  const [only] = given;
  return (
    given.length === 1 &&
    !isAddressTaken(context.text, name) &&
    only?.node.kind === "name" &&
    only.around.at(-1)?.kind === "assignment" &&
    // What a loop counts by moves on by itself.
    !only.around.some((each) => each.role === "start") &&
    part(only.around.at(-1) as SyntaxNode, "value")?.kind === "number"
  );
}

/** True where a function has a name of its own, as a parameter or by declaring it. */
export function isDeclaredIn(of: SyntaxNode | undefined, name: string): boolean {
  return (
    of !== undefined &&
    nodesOf(of).some((each) => each.sign === name && (each.kind === "parameter" || each.role === "definition"))
  );
}

/** The value of a name that is declared and given none: what stands for nothing. */
const declared = "";

/** What a mark is set to that begins as nothing has happened yet: with false, or the number that stands for it. */
function setValue(first: string): string | undefined {
  if (first === "0" || first === declared) return "1";
  return first.toLowerCase() === "false" ? otherTruth(first) : undefined;
}

/**
 * Names that are asked for in a decision and are only ever given the value by which nothing has happened yet: each decision
 * that asks, with what the name would be set to.
 */
export function marksNeverSet(context: EditContext): Array<{ name: string; other: string; decision: SyntaxNode }> {
  const given = new Map<string, Set<string>>();
  const times = new Map<string, number>();
  for (const { node, around } of context.nodes) {
    const parent = around.at(-1);
    if (node.kind === "parameter") given.set(node.sign ?? "", new Set(["?"]));
    if (node.kind !== "name" || (node.role !== "target" && node.role !== "definition")) continue;
    times.set(node.sign ?? "", (times.get(node.sign ?? "") ?? 0) + 1);
    const value =
      parent?.kind === "assignment" && parent.sign === context.writing.assign ? part(parent, "value") : undefined;
    const those = given.get(node.sign ?? "") ?? new Set<string>();
    given.set(
      node.sign ?? "",
      those.add(value ? context.sourceOf(value) : parent?.kind === "declaration" ? declared : "?"),
    );
  }
  return ofKind(context, "if").flatMap(({ node }) => {
    const condition = part(node, "condition");
    if (!condition) return [];
    return nodesOf(condition).flatMap((each) => {
      const name = each.kind === "name" && each.role !== "callee" && each.role !== "argument" ? (each.sign ?? "") : "";
      // Being declared gives a value only where nothing else does.
      const all = [...(given.get(name) ?? [])];
      const values = all.length > 1 ? all.filter((value) => value !== declared) : all;
      const other = values.length === 1 ? setValue(values[0] ?? "") : undefined;
      if (other === undefined || isAddressTaken(context.text, name)) return [];
      return !["0", declared].includes(values[0] ?? "") || (times.get(name) ?? 0) > 1
        ? [{ name, other, decision: node }]
        : [];
    });
  });
}
