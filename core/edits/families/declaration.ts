import { type PlacedToken, tokensWithin } from "../../syntax/placed.ts";
import { part, type SyntaxNode } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, insert, type Placed, type Proposal } from "../edit.ts";
import { gatherings, startsOf } from "../gathered.ts";
import { calledName, functionAround, lineEndOf, ofKind, wholeLines } from "../places.ts";

function types(context: EditContext): string[] {
  return [...new Set(context.writing.types.flat())].slice(0, 6);
}

/**
 * Names that get a value or are used where they are not declared: neither in that function (`owner`; undefined outside of
 * all) nor outside of functions. What another function declares is its own.
 */
function undeclared(context: EditContext): Array<{ name: string; owner: SyntaxNode | undefined }> {
  const key = (owner: SyntaxNode | undefined, name: string) => `${owner?.from ?? ""} ${name}`;
  const known = new Set<string>();
  const declare = (name: string | undefined, around: readonly SyntaxNode[]) =>
    known.add(key(functionAround(around), name ?? ""));
  for (const { node, around } of context.nodes) {
    if (node.role === "definition" || node.kind === "parameter") declare(node.sign, around);
    const target = node.kind === "foreach" ? part(node, "target") : undefined;
    if (target && context.writing.variables === "declared in place") declare(target.sign, around);
    // What stands for something by a line before the program: #define MOST 20.
    if (node.kind === "import")
      for (const [word] of context.sourceOf(node).matchAll(/[a-zA-Z_]\w*/g)) declare(word, []);
  }
  const found = new Map<string, { name: string; owner: SyntaxNode | undefined }>();
  for (const { node, around } of context.nodes) {
    const name = node.sign ?? "";
    if (node.kind !== "name" || node.role === "callee" || node.role === "definition") continue;
    if (context.language.ownWords.has(name) || !/^[a-zA-Z_]\w*$/.test(name)) continue;
    // In the function itself, in one around it, or outside of all.
    const owners = [undefined, ...around.filter((each) => each.kind === "function")];
    if (owners.some((owner) => known.has(key(owner, name)))) continue;
    const owner = functionAround(around);
    found.set(key(owner, name), { name, owner });
  }
  return [...found.values()].slice(0, 4);
}

/** A declaration put in: before the first value, at the top of the function, in the part that declares. */
function putIn(context: EditContext): Proposal[] {
  const { variables } = context.writing;
  if (variables === "by assignment") return [];
  const ending = lineEndOf(context);
  const gathered = new Set(gatherings(context).map(({ name }) => name));
  return undeclared(context).flatMap(({ name, owner: inside }) => {
    const isHere = (around: readonly SyntaxNode[]) => functionAround(around) === inside;
    if (variables === "declared apart") {
      // Where the name is used inside of a function, that has a part of its own; else the program's, before all functions.
      const owner = inside;
      const header = owner?.children.filter((child) => child.kind === "parameter").map((child) => child.to) ?? [];
      const start = owner ? Math.max(owner.from, ...header) : 0;
      const own = context.code.filter((token) => token.from >= start);
      const first = own.findIndex((token) => token.text.toLowerCase() === "var");
      const main = own.find((token, at) => at > first && /^(?:begin|procedure|function)$/i.test(token.text));
      const lastOfPart =
        first >= 0 && main ? context.code.findLast((token) => token.to <= main.from && token.text === ";") : undefined;
      const used = context.nodes.find(({ node, around }) => node.sign === name && isHere(around))?.node.from;
      const about = used === undefined ? {} : { about: used };
      const lists = ofKind(context, "declaration").filter(
        ({ node, around }) => isHere(around) && node.children.some((child) => child.kind === "type"),
      );
      const besideOthers = lists
        .flatMap(({ node }) => besideNames(context, node, name))
        .map((each) => ({ ...each, ...about }));
      const alone = types(context).map((type, at) => {
        const odds = at === 0 ? 1 : 0.5 / at;
        if (lastOfPart) {
          const indent = context.lines[lastOfPart.line - 1]?.indent ?? "";
          return insert(lastOfPart.to, `${ending}${indent || "  "}${name}: ${type};`, { name, type }, odds);
        }
        return insert(main?.from ?? 0, `var ${name}: ${type};${ending}`, { name, type }, odds);
      });
      return [...besideOthers, ...alone.map((each) => ({ ...each, ...about }))];
    }
    const first = context.nodes.find(
      ({ node, around }) =>
        node.kind === "name" &&
        node.sign === name &&
        isHere(around) &&
        node.role === "target" &&
        around.at(-1)?.kind === "assignment",
    );
    const use = context.nodes.find(({ node, around }) => node.kind === "name" && node.sign === name && isHere(around));
    const body = use?.around.find((each) => each.kind === "function");
    const block = body && part(body, "body");
    const top = block?.children[0] && wholeLines(context, block.children[0]);
    // Behind the declarations that a function begins with, where it begins with some.
    const rest = block?.children.findIndex((child) => child.kind !== "declaration") ?? -1;
    const last = rest > 0 ? block?.children[rest - 1] : undefined;
    const declared = last && last.to <= (use?.node.from ?? 0) ? wholeLines(context, last) : null;
    return types(context).flatMap((type, at) => {
      const odds = at === 0 ? 1 : 0.6 / at;
      const found: Proposal[] = [];
      if (first && context.writing.assign === "=" && first.around.at(-1)?.sign === "=")
        found.push(insert(first.node.from, `${type} `, { name, type }, odds));
      // What is only added to needs something to begin with.
      const start = gathered.has(name) && startsOf(context, name).length === 0 ? " = 0" : "";
      const text = `${top?.first.indent}${type} ${name}${start};${ending}`;
      if (top) {
        const put = insert(declared?.to ?? top.from, text, { name, type }, odds * 0.9);
        found.push(use ? { ...put, about: use.node.from } : put);
      }
      return found;
    });
  });
}

/** A name put behind the names that are declared together, if they have one of the usual types: `count, low: integer`. */
function besideNames(context: EditContext, declaration: SyntaxNode, name: string): Proposal[] {
  const type = declaration.children.find((child) => child.kind === "type");
  const names = declaration.children.filter((child) => child.role === "definition");
  const last = names.at(-1);
  const said = type ? context.sourceOf(type).trim().toLowerCase() : "";
  const at = types(context).indexOf(said);
  if (!last || at < 0) return [];
  return [
    insert(last.to, `, ${name}`, { name, type: said }, (at === 0 ? 1.1 : 0.6 / at) * (names.length > 1 ? 1 : 0.8)),
  ];
}

/** Another type where a name is declared, and for what a function gives back. */
function otherTypes(context: EditContext): Proposal[] {
  const groups = context.writing.types;
  if (groups.length === 0) return [];
  const capitals = groups.flat().every((type) => type === type.toUpperCase());
  return context.code.flatMap((token, place) => {
    const text = token.text;
    // A variable that begins with a whole number was mostly meant to hold whole ones.
    const [, sign, first] = context.code.slice(place + 1, place + 4);
    const beginsWhole = sign?.text === "=" && /^\d+$/.test(first?.text ?? "") && first?.text !== "0";
    const same = capitals ? text.toUpperCase() : context.language.profile.caseSensitive ? text : text.toLowerCase();
    const group = groups.filter((each) => each.includes(same));
    if (token.kind === "text" || (group.length === 0 && text !== "void")) return [];
    const others =
      text === "void" ? types(context).slice(0, 3) : [...new Set(group.flat())].filter((other) => other !== same);
    return others.map((other, at) => {
      const odds = at < 2 ? 0.8 : 0.25;
      return change(token, other, { before: text, after: other }, beginsWhole ? odds * 0.4 : odds);
    });
  });
}

/** `static` before a function that is called without an object. */
function modifiers(context: EditContext): Proposal[] {
  if (context.writing.blocks.by !== "braces") return [];
  return ofKind(context, "function", "declaration").flatMap(({ node, around }) => {
    if (
      around.at(-2)?.kind !== "class" ||
      /\bstatic\b/.test(context.text.slice(node.from, node.children[0]?.to ?? node.from))
    )
      return [];
    const place = /^(public|private|protected)\s+/.exec(context.sourceOf(node))?.[0].length ?? 0;
    return [insert(node.from + place, "static ", { word: "static" }, 0.8)];
  });
}

/** A declaration taken out: the type before a first value, or the whole line. */
function takeOut(context: EditContext): Proposal[] {
  return ofKind(context, "declaration").flatMap(({ node, around }) => {
    if (around.at(-1)?.kind !== "block" && node.role !== "start") return [];
    const type = node.children.find((child) => child.kind === "type");
    const next = type && node.children.find((child) => child.from >= type.to);
    return type && next ? [change({ from: type.from, to: next.from }, "", { type: type.sign ?? "" })] : [];
  });
}

/** What functions are handed, group by group, where a copy is handed unless the place is asked for: its first word, and whether it asks. */
function groupsHanded(context: EditContext): Array<{ first: PlacedToken; word: string; isPlace: boolean }> {
  const { handsPlace } = context.writing;
  if (!handsPlace) return [];
  return ofKind(context, "function").flatMap(({ node }) => {
    const body = part(node, "body");
    const header = tokensWithin(context.code, node.from, body?.from ?? node.to);
    const open = header.findIndex((token) => token.text === "(");
    const close = header.findIndex((token) => token.text === ")");
    return header.slice(open + 1, close).flatMap((first, at, inside) => {
      const begins = at === 0 || inside[at - 1]?.text === ";";
      if (open < 0 || !begins || handsPlace.kept.test(first.text)) return [];
      return [{ first, word: handsPlace.word, isPlace: first.text.toLowerCase() === handsPlace.word }];
    });
  });
}

/** True for a parameter into which its part of the program reads or puts something, and of which it reads nothing. */
function isOnlyGiven(context: EditContext, parameter: PlacedToken): boolean {
  const owner = ofKind(context, "function").findLast(
    ({ node }) => node.from < parameter.from && node.to > parameter.to,
  );
  if (!owner) return false;
  const uses = context.nodes.filter(
    ({ node, around }) =>
      node.kind === "name" && node.sign === parameter.text && node.from > parameter.to && around.includes(owner.node),
  );
  const isGiven = ({ node, around }: Placed) => {
    const [outer, inner] = [around.at(-2), around.at(-1)];
    const place = inner?.kind === "index" && node.role === "object" ? inner : node;
    const call = place === node ? inner : outer;
    const reads = call?.kind === "call" && context.writing.library.reads(calledName(call));
    return place.role === "target" || (place.role === "argument" && reads);
  };
  return uses.length > 0 && uses.every(isGiven);
}

export const declarationFamily: EditFamily = {
  id: "declaration",
  says: "a name that is not declared, or a type that does not fit",
  weight: 8,
  reads: "both",
  mends: (context) => [
    ...putIn(context),
    ...otherTypes(context),
    ...modifiers(context),
    ...groupsHanded(context).flatMap(({ first, word, isPlace }) =>
      isPlace
        ? []
        : [insert(first.from, `${word} `, { name: first.text, type: word }, isOnlyGiven(context, first) ? 4 : 0.8)],
    ),
  ],
  plants: (context) => [
    ...takeOut(context),
    ...otherTypes(context),
    ...groupsHanded(context).flatMap(({ first, word, isPlace }) =>
      isPlace ? [change({ from: first.from, to: first.to + 1 }, "", { type: word })] : [],
    ),
  ],
  examples: [
    {
      language: "java",
      right: "class Main { void f() { int n = 3; g(n); } }",
      faulty: "class Main { void f() { n = 3; g(n); } }",
    },
    {
      language: "c",
      right: "double f(void) { double n = 3; return n; }",
      faulty: "int f(void) { double n = 3; return n; }",
    },
    {
      language: "csharp",
      right: "class P { void F() { string s = a; } }",
      faulty: "class P { void F() { int s = a; } }",
    },
    {
      language: "pascal",
      right: "procedure add(var t: integer);\nbegin\n  t := t + 1;\nend;\nbegin\nend.",
      faulty: "procedure add(t: integer);\nbegin\n  t := t + 1;\nend;\nbegin\nend.",
    },
    {
      language: "pascal",
      right: "var n: real;\nbegin\n  n := 1;\nend.",
      faulty: "var n: integer;\nbegin\n  n := 1;\nend.",
    },
  ],
};
