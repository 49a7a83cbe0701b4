import { escaped } from "../source/escaped.ts";
import { nodesOf, type SyntaxNode } from "../syntax/tree.ts";
import type { EditContext } from "./edit.ts";
import { functionAround, namesIn } from "./places.ts";

/** What a program says of its names: where each is known, and as what it is declared. */
export type Scopes = {
  /** Whether a name is known at a place, given what is around it: names of another function alone are not. */
  isKnownAt: (name: string, around: readonly SyntaxNode[]) => boolean;
  /** Whether two names may stand for values of one kind: false only where both are declared, as different kinds. */
  areAlike: (one: string, other: string) => boolean;
  /** Whether two names are declared as values of one kind; true in a language that declares none. */
  areDeclaredAlike: (one: string, other: string) => boolean;
  /** Whether a name may stand for a number: false only where it is declared as something else. */
  mayBeNumber: (name: string) => boolean;
  /** Whether a name may stand for a number that moves: false only where it is declared as something else, or as constant. */
  mayCount: (name: string) => boolean;
};

const number = "number";

/** Kinds of numbers that go into one another, by their words in the languages that declare. */
const numbers =
  /^(?:(?:unsigned|signed|const|final|static|public|private) )*(?:int|long|short|byte|double|float|decimal|unsigned|size_t|integer|real|longint|single|int64|word|cardinal)$/i;

/** The contexts are shared and never changed, so what was found of one is kept as long as it is. */
const found = new WeakMap<EditContext, Scopes>();

/** Reads the scopes of a program from its tree. */
export function scopesOf(context: EditContext): Scopes {
  const known = found.get(context);
  if (known) return known;
  const owners = ownersOf(context);
  const kinds = kindsOf(context);
  const fixed = constantsOf(context);
  const onlyKind = (name: string) => {
    const [kind, another] = kinds.get(name) ?? [];
    return another === undefined ? kind : undefined;
  };
  const scopes: Scopes = {
    isKnownAt: (name, around) => {
      const those = owners.get(name);
      return !those || those.has(null) || around.some((each) => those.has(each));
    },
    areAlike: (one, other) => {
      const [first, second] = [onlyKind(one), onlyKind(other)];
      return !first || !second || first === second;
    },
    areDeclaredAlike: (one, other) =>
      context.writing.types.length === 0 || [...(kinds.get(one) ?? [])].some((kind) => kinds.get(other)?.has(kind)),
    mayBeNumber: (name) => (onlyKind(name) ?? number) === number,
    mayCount: (name) => !fixed.has(name) && (onlyKind(name) ?? number) === number,
  };
  found.set(context, scopes);
  return scopes;
}

/** The functions in which a name is given a value, declared or handed in; null stands for the rest of the program. */
function ownersOf(context: EditContext): Map<string, Set<SyntaxNode | null>> {
  const owners = new Map<string, Set<SyntaxNode | null>>();
  const add = (name: string | undefined, around: readonly SyntaxNode[]) => {
    if (!name) return;
    const those = owners.get(name) ?? new Set();
    those.add(functionAround(around) ?? null);
    owners.set(name, those);
  };
  for (const { node, around } of context.nodes) {
    if (node.kind === "parameter") for (const name of [node.sign, ...namesIn(node)]) add(name, around);
    else if (node.kind === "name" && (node.role === "target" || node.role === "definition")) add(node.sign, around);
    else if (node.kind === "name" && around.at(-1)?.kind === "list" && around.at(-1)?.role === "target")
      add(node.sign, around);
  }
  return owners;
}

/** What names are declared as, in all their declarations: functions may each have one of their own. */
function kindsOf(context: EditContext): Map<string, Set<string>> {
  const kinds = new Map<string, Set<string>>();
  for (const { node } of context.nodes) {
    if (node.kind !== "declaration" && node.kind !== "parameter") continue;
    const type = node.children.find((child) => child.kind === "type");
    if (!type) continue;
    const said = context.sourceOf(type).trim();
    // A type that is worked out from the value says nothing of it.
    if (/^(?:var|auto)$/.test(said)) continue;
    const usual = numbers.test(said) ? number : said.replace(/^(?:const|static|final) /, "");
    const text = context.sourceOf(node);
    // Where the brackets of a list stand behind the type: int[] loads.
    const isList = /^\s*\[/.test(text.slice(type.to - node.from));
    const own = node.kind === "parameter" && node.sign ? [node.sign] : [];
    // What stands in a first value is declared elsewhere.
    const defined = nodesOf(node).flatMap((each) => (each.role === "definition" ? [each.sign ?? ""] : []));
    const inside =
      defined.length > 0 ? defined : namesIn({ ...node, children: node.children.filter((child) => child !== type) });
    for (const name of new Set([...own, ...inside])) {
      const marks = new RegExp(String.raw`(\*\s*)?\b${escaped(name)}\b(\s*\[)?`).exec(text);
      const kind = `${usual}${isList || marks?.[1] || marks?.[2] ? " several" : ""}`;
      kinds.set(name, (kinds.get(name) ?? new Set()).add(kind));
    }
  }
  return kinds;
}

/** Names that are declared as constant: by a word in front, or, where variables have a type and no value, by the value alone. */
function constantsOf(context: EditContext): Set<string> {
  const { words = [], byValue } = context.writing.fixed ?? {};
  const mark = new RegExp(String.raw`\b(?:${words.join("|")})\b`);
  return new Set(
    context.nodes.flatMap(({ node }) => {
      if (node.kind !== "declaration") return [];
      const type = node.children.find((child) => child.kind === "type");
      const from = context.text.lastIndexOf("\n", node.from) + 1;
      const marked = words.length > 0 && mark.test(context.text.slice(from, type?.to ?? node.from));
      const names = node.children.flatMap((child) => (child.kind === "assignment" ? child.children : [child]));
      return marked || (byValue && !type)
        ? names.flatMap((each) => (each.role === "definition" && each.sign ? [each.sign] : []))
        : [];
    }),
  );
}
