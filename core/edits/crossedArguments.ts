import { part, parts, type SyntaxNode } from "../syntax/tree.ts";
import type { EditContext } from "./edit.ts";
import { calledName, functionAround, nameOfFunction, ofKind, parametersOf } from "./places.ts";

/**
 * Calls of the program's own functions in which a value stands that has the name of another one's place: `one` and `other`, in
 * the order of the text, belong the other way round. A function's calls of itself may mean that.
 */
export function crossedArguments(
  context: EditContext,
): Array<{ call: SyntaxNode; one: SyntaxNode; other: SyntaxNode }> {
  const functions = new Map(ofKind(context, "function").map(({ node }) => [nameOfFunction(node), parametersOf(node)]));
  return ofKind(context, "call").flatMap(({ node, around }) => {
    const name = calledName(node);
    const given = parts(node, "argument");
    const all = functions.get(name);
    if (!all || nameOfFunction(functionAround(around)) === name) return [];
    // What a method is called on stands before its other parameters in some languages.
    const own = all.length === given.length + 1 && part(node, "callee")?.kind === "field" ? all.slice(1) : all;
    if (own.length !== given.length) return [];
    for (const [at, each] of given.entries()) {
      const place = own.indexOf(each.sign ?? "");
      const other = given[place];
      if (each.kind !== "name" || place < 0 || place === at || !other || other.kind !== "name") continue;
      if (given.some((one, index) => one.kind === "name" && one.sign === own[index])) continue;
      return [at < place ? { call: node, one: each, other } : { call: node, one: other, other: each }];
    }
    return [];
  });
}
