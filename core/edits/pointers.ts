import { escaped } from "../source/escaped.ts";
import { part, parts, type SyntaxNode } from "../syntax/tree.ts";
import type { EditContext } from "./edit.ts";
import { calledName, functionAround, ofKind } from "./places.ts";

/** A parameter that takes an address: `int *total`. */
function takesAddress(context: EditContext, parameter: SyntaxNode): boolean {
  const type = parameter.children.find((child) => child.kind === "type");
  const name = parameter.children.find((child) => child.kind === "name") ?? parameter;
  return type !== undefined && context.text.slice(type.to, name.to).includes("*");
}

/** Functions of a C program, each with the names of its parameters that take an address ("" for the others), in their order. */
function addressesTaken(context: EditContext): Map<SyntaxNode, string[]> {
  return new Map(
    ofKind(context, "function").map(({ node }) => [
      node,
      node.children.flatMap((child) =>
        child.kind === "parameter" ? [takesAddress(context, child) ? (child.sign ?? "") : ""] : [],
      ),
    ]),
  );
}

/** True for a name that the program declares as one number, a number itself, and the address of something. */
function isPlainNumber({ text }: EditContext, { kind, sign }: SyntaxNode): boolean {
  if (kind === "unary") return sign === "&";
  if (kind !== "name") return kind === "number";
  const declared = String.raw`\b(?:int|long|short|float|double|char|unsigned|size_t)\s+(?:\*?\w+(?:\[\w*\])*\s*(?:=[^,;()]*)?,\s*)*${escaped(sign ?? "")}\s*[=,;)]`;
  return new RegExp(declared).test(text);
}

/** What own functions are given in calls where they take an address, call by call. */
export function givenAsAddress(context: EditContext): SyntaxNode[][] {
  const taken = new Map(
    [...addressesTaken(context)].map(([node, names]) => [
      node.children.find((child) => child.role === "definition")?.sign ?? "",
      names,
    ]),
  );
  return ofKind(context, "call").map(({ node }) => {
    const names = taken.get(calledName(node)) ?? [];
    return parts(node, "argument").filter((given, at) => (names[at] ?? "") !== "" && isPlainNumber(context, given));
  });
}

/** A name that is declared with a type: its own part of the declaration, and whether it is a pointer. */
type Declared = { node: SyntaxNode; name: string; type: string; isPointer: boolean; around: readonly SyntaxNode[] };

function declarationsOf(context: EditContext): Declared[] {
  return ofKind(context, "declaration").flatMap(({ node, around }) => {
    const type = node.children.find((child) => child.kind === "type")?.sign ?? "";
    return node.children.flatMap((each) => {
      const named = each.kind === "assignment" ? each.children.find((child) => child.role === "definition") : undefined;
      if (!named) return [];
      return [{ node: each, name: named.sign ?? "", type, isPointer: context.sourceOf(each).startsWith("*"), around }];
    });
  });
}

/** Pointers that are declared to point nowhere and never given another place, each with what of their type they may be meant to point at. */
export function nowherePointers(context: EditContext): Array<{ node: SyntaxNode; name: string; places: string[] }> {
  const declared = declarationsOf(context);
  const given = new Set(
    ofKind(context, "assignment").flatMap(({ node }) => {
      const target = part(node, "target");
      return target?.kind === "name" ? [target.sign ?? ""] : [];
    }),
  );
  return declared.flatMap(({ node, name, type, isPointer, around }) => {
    if (!isPointer || given.has(name) || !/=\s*(?:NULL|0)$/.test(context.sourceOf(node))) return [];
    const places = declared.filter(
      (each) =>
        !each.isPointer &&
        each.type === type &&
        each.node.from < node.from &&
        around.includes(each.around.at(-1) ?? node),
    );
    return places.length > 0 ? [{ node, name, places: places.map((each) => each.name) }] : [];
  });
}

/** Assignments inside of a function to a parameter that takes an address, and not to what lies there: `total = total + load`. */
export function changedAddresses(context: EditContext): Array<{ node: SyntaxNode; name: string }> {
  const taken = addressesTaken(context);
  return ofKind(context, "assignment").flatMap(({ node, around }) => {
    const owner = functionAround(around);
    const name = part(node, "target")?.kind === "name" ? (part(node, "target")?.sign ?? "") : "";
    return name && owner && taken.get(owner)?.includes(name) ? [{ node, name }] : [];
  });
}
