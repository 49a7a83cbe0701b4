import { nodesOf, part, type SyntaxNode } from "../syntax/tree.ts";
import type { EditContext } from "./edit.ts";
import { calledName, namesIn, ofKind } from "./places.ts";

/**
 * True for a function of the program that gives something back and does nothing else: it prints and reads nothing, calls
 * nothing for its own sake, and gives a value to nothing but names of its own. A call of it alone has no effect.
 */
export function givesOnly(context: EditContext, name: string): boolean {
  const { library } = context.writing;
  const all = ofKind(context, "function").filter(({ node }) =>
    node.children.some((child) => child.role === "definition" && child.sign === name),
  );
  const [only] = all;
  if (!only || all.length > 1) return false;
  const inside = nodesOf(only.node);
  if (!inside.some((each) => each.kind === "return" && each.children.length > 0)) return false;
  // Where names are declared, those alone are the function's own that it declares or is handed.
  const areDeclared = context.writing.types.length > 0;
  const own = new Set(
    inside
      .filter(
        (each) => each.role === "definition" || each.kind === "parameter" || (!areDeclared && each.role === "target"),
      )
      .map((each) => each.sign ?? ""),
  );
  const parameters = only.node.children.filter((each) => each.kind === "parameter");
  // What is handed in by its address, or as a list or an object, may be changed where it is.
  if (parameters.some((each) => /[&*]|\bvar\b|\bref\b|\bout\b/.test(context.sourceOf(each)))) return false;
  return inside.every((each) => {
    if (each.kind === "statement" && each.children[0]?.kind === "call") return false;
    if (each.kind === "call") return !library.prints(calledName(each)) && !library.reads(calledName(each));
    const target = each.kind === "assignment" ? (part(each, "target") ?? part(each, "definition")) : undefined;
    return !target || (["name", "list"].includes(target.kind) && namesOf(target).every((each) => own.has(each)));
  });
}

const namesOf = (target: SyntaxNode) => (target.kind === "name" ? [target.sign ?? ""] : namesIn(target));
