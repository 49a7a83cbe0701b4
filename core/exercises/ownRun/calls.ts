import { calledName } from "../../edits/places.ts";
import { lineAt } from "../../syntax/placed.ts";
import { nodesOf, parts, type SyntaxNode } from "../../syntax/tree.ts";
import type { Writer } from "./instruction.ts";
import { isBare } from "./ownFunctions.ts";

/** The text of a piece, with names of what was given back in the places of calls that were gone into before. */
export function source(writer: Writer, node: { from: number; to: number }): string {
  const inside = writer.results
    .filter(({ from, to }) => from >= node.from && to <= node.to)
    .sort((one, other) => one.from - other.from || other.to - one.to);
  let text = "";
  let at = node.from;
  for (const { from, to, name } of inside) {
    if (from < at) continue;
    text += writer.text.slice(at, from) + name;
    at = to;
  }
  return text + writer.text.slice(at, node.to);
}

/** True for a call that is gone into. */
function isGoneInto(writer: Writer, node: SyntaxNode): boolean {
  const made = node.kind === "call" && isBare(node) ? writer.functions.get(calledName(node)) : undefined;
  return made !== undefined && made.parameters.length === parts(node, "argument").length;
}

/** Calls of functions of the program's own, wherever they are. */
export function ownCalls(writer: Writer, node: SyntaxNode): SyntaxNode[] {
  return nodesOf(node).filter((each) => each.kind === "call" && writer.own.has(calledName(each)));
}

/** Signs behind whose first value the second one may not be looked at. */
const mayEndEarly = /^(?:and|or|&&|\|\||\?\?)$/i;

/** Whether every call of a function of the program's own in a piece can be gone into, and is made whatever the values are. */
export function canGoInto(writer: Writer, node: SyntaxNode): boolean {
  const look = (each: SyntaxNode, certain: boolean): boolean => {
    const own = each.kind === "call" && writer.own.has(calledName(each));
    if (own && !(certain && isGoneInto(writer, each))) return false;
    const early = each.kind === "choice" || each.kind === "other" || each.kind === "list";
    return each.children.every((child, at) =>
      look(child, certain && !early && !(each.kind === "binary" && at > 0 && mayEndEarly.test(each.sign ?? ""))),
    );
  };
  return look(node, true);
}

/**
 * Goes into the calls of a piece, the inner ones first; `source` then has names for what they give. Behind each of them the
 * line goes on, which is a row of its own; not behind the last one where `last` is false.
 */
export function goInto(writer: Writer, node: SyntaxNode, line: number, last = true): void {
  const calls: SyntaxNode[] = [];
  const gather = (each: SyntaxNode): void => {
    for (const child of each.children) gather(child);
    if (isGoneInto(writer, each)) calls.push(each);
  };
  gather(node);
  for (const [at, call] of calls.entries()) {
    const name = `givenback${writer.results.length + 1}`;
    const given = parts(call, "argument").map((argument) => source(writer, argument));
    writer.list.push({ does: "call", function: calledName(call), given, result: name });
    writer.results.push({ from: call.from, to: call.to, name });
    if (last || at < calls.length - 1) writer.list.push({ does: "line", line });
  }
}

/** The line that a piece begins in. */
export const lineOf = (writer: Writer, node: SyntaxNode) => lineAt(writer.starts, node.from);
