import { calledName, nameOfFunction } from "../../edits/places.ts";
import type { Language } from "../../languages/language.ts";
import { commonLibrary } from "../../languages/writing.ts";
import { nodesOf, part, parts, type SyntaxKind, type SyntaxNode } from "../../syntax/tree.ts";

/** A function of a program that is gone into: its parameters, its body, and the name that holds its result, where one does. */
export type OwnFunction = {
  name: string;
  node: SyntaxNode;
  body: SyntaxNode;
  parameters: ReadonlyArray<{ name: string; type: string | null }>;
  /** The variable whose value is given back at the end; null where a statement gives it. */
  result: string | null;
  type: string | null;
};

/** Pieces of a function that can be gone through one after another. */
const known: ReadonlySet<SyntaxKind> = new Set<SyntaxKind>([
  ...(["block", "if", "while", "do", "for", "foreach", "declaration", "statement", "return", "leave"] as const),
  ...(["assignment", "binary", "unary", "call", "index", "field", "group", "cast", "choice", "list"] as const),
  ...(["name", "number", "text", "constant", "type"] as const),
]);

/**
 * Functions that a program's run can be followed into with other values than those of the recorded run: they are handed
 * values, change nothing outside of themselves, read nothing, and do not call themselves. By name.
 */
export function ownFunctions(language: Language, text: string, tree: SyntaxNode): Map<string, OwnFunction> {
  const all = nodesOf(tree).filter((node) => node.kind === "function");
  const names = all.map(nameOfFunction);
  const read = all.flatMap((node) => {
    const made = readFunction(language, text, node);
    return made && names.filter((each) => each === made.name).length === 1 ? [made] : [];
  });
  const found = new Map(read.filter((each) => isApart(language, text, each)).map((each) => [each.name, each]));
  // One that calls what cannot be gone into, or itself by whatever way, cannot be gone into either.
  const own = new Set(names);
  const goesWell = (name: string, way: readonly string[]): boolean => {
    const each = found.get(name);
    if (!each || way.includes(name)) return false;
    const calls = nodesOf(each.body).filter((node) => node.kind === "call" && own.has(calledName(node)));
    return calls.every((call) => isBare(call) && goesWell(calledName(call), [...way, name]));
  };
  return new Map([...found].filter(([name]) => goesWell(name, [])));
}

/** True for a call by a name alone, without an object. */
export const isBare = (call: SyntaxNode) => part(call, "callee")?.kind === "name";

function readFunction(language: Language, text: string, node: SyntaxNode): OwnFunction | null {
  const name = nameOfFunction(node);
  const body = part(node, "body");
  const defined = node.children.find((child) => child.role === "definition" && child.kind === "name");
  if (!name || !body || !defined || /^main$/i.test(name)) return null;
  const outer = node.children.filter((child) => child.kind === "parameter" && child.role === "target");
  const handed = node.children.filter((child) => child.kind === "parameter" && child.role !== "target" && child.sign);
  const typeOf = (of: SyntaxNode) => {
    const type = of.children.find((child) => child.kind === "type");
    return type ? text.slice(type.from, type.to).trim() : null;
  };
  const parameters = handed
    .filter((each) => each.sign !== "void")
    .map((each) => ({ name: each.sign ?? "", type: typeOf(each) }));
  const closes = text.indexOf(")", Math.max(defined.to, ...handed.map((each) => each.to)));
  const header = text.slice(defined.to, closes < 0 || closes > body.from ? defined.to : closes);
  const { handsMore } = language.writing ?? {};
  if (outer.length > 1 || !handsMore || handsMore.test(header)) return null;
  const byName = language.writing?.resultByName?.header.test(text.slice(node.from, body.from)) === true;
  const result = outer[0]?.sign ?? (byName ? name : null);
  return { ...{ name, node, body, parameters, result }, type: result === null ? typeOf(node) : null };
}

/** True for a function that changes nothing but names of its own, and reads nothing. */
function isApart(language: Language, text: string, { name, node, body, parameters, result }: OwnFunction): boolean {
  const library = language.writing?.library ?? commonLibrary;
  const fold = (each: string) => (language.values?.reads.anyCase ? each.toLowerCase() : each);
  const inside = nodesOf(body);
  if (inside.some((each) => !known.has(each.kind))) return false;
  const reaches = language.writing?.reaches ?? [];
  const outside = new RegExp(String.raw`\b(?:${reaches.join("|")})\b`, "i");
  if (reaches.length > 0 && outside.test(text.slice(body.from, body.to))) return false;
  const declared = nodesOf(node).filter((each) => each.kind === "name" && each.role === "definition");
  const own = new Set([...declared.map((each) => each.sign ?? ""), ...parameters.map((each) => each.name)].map(fold));
  for (const each of [name, result]) if (each) own.add(fold(each));
  const isOwn = language.writing?.variables === "by assignment" ? () => true : (each: string) => own.has(fold(each));
  const handed = new Set(parameters.map((each) => fold(each.name)));
  return inside.every((each) => {
    if (each.kind === "assignment") {
      const target = part(each, "target") ?? part(each, "definition");
      if (target?.kind === "name") return isOwn(target.sign ?? "");
      const list = target?.kind === "index" ? part(target, "object") : undefined;
      return list?.kind === "name" && isOwn(list.sign ?? "") && !handed.has(fold(list.sign ?? ""));
    }
    if (each.kind !== "call") return true;
    const called = calledName(each);
    if (library.reads(called) || library.readsText(called) || library.leaves(called)) return false;
    const object =
      part(each, "callee")?.kind === "field" ? part(each, "callee")?.children[0] : parts(each, "argument")[0];
    return !library.changes(called) || (object?.kind === "name" && !handed.has(fold(object.sign ?? "")));
  });
}
