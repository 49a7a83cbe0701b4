import { escaped } from "../../source/escaped.ts";
import { nodesOf, part, type SyntaxNode } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, insert, type Placed, type Proposal } from "../edit.ts";
import { ofKind } from "../places.ts";

/** Functions of a class, with the class. */
function methods(context: EditContext): Array<Placed & { within: SyntaxNode }> {
  return ofKind(context, "function").flatMap(({ node, around }) => {
    const within = around.findLast((each) => each.kind === "class" || each.kind === "function");
    return within?.kind === "class" ? [{ node, around, within }] : [];
  });
}

/** Names of parts of the own object that a class speaks of, by its own word. */
function ownParts(context: EditContext, within: SyntaxNode, word: string): Set<string> {
  const source = context.sourceOf(within);
  return new Set(
    [...source.matchAll(new RegExp(String.raw`\b${escaped(word)}\.(\w+)`, "g"))].map((match) => match[1] ?? ""),
  );
}

/** The own object before what belongs to it, and among what a function of its class is handed. */
function mends(context: EditContext): Proposal[] {
  const { ownObject } = context.writing;
  if (!ownObject) return [];
  const { word, isHanded, without } = ownObject;
  return methods(context).flatMap(({ node, within }) => {
    const body = part(node, "body");
    if (!body) return [];
    const found: Proposal[] = [];
    const parameters = node.children.filter((child) => child.kind === "parameter");
    if (isHanded && parameters[0]?.sign !== word) {
      const open = context.code.find((token) => token.text === "(" && token.from > node.from && token.to <= body.from);
      const text = parameters.length > 0 ? `${word}, ` : word;
      if (open && !without?.test(context.text.slice(0, node.from)))
        found.push(insert(open.to, text, { name: word }, 1.5));
    }
    const known = ownParts(context, within, word);
    for (const each of nodesOf(body)) {
      if (each.kind === "assignment") {
        const [target, value] = [part(each, "target"), part(each, "value")];
        if (target?.kind !== "name") continue;
        const name = target.sign ?? "";
        const isItself = each.sign === context.writing.assign && value?.kind === "name" && value.sign === name;
        if (isItself || (isHanded && known.has(name))) found.push(insert(target.from, `${word}.`, { name }, 1.5));
      } else if (isHanded && each.kind === "name" && each.role !== "target" && known.has(each.sign ?? ""))
        found.push(insert(each.from, `${word}.`, { name: each.sign ?? "" }, 0.5));
    }
    return found;
  });
}

function plants(context: EditContext): Proposal[] {
  const { ownObject } = context.writing;
  if (!ownObject) return [];
  const before = `${ownObject.word}.`;
  return methods(context).flatMap(({ node }) => {
    const handed = ownObject.isHanded ? node.children.filter((child) => child.kind === "parameter") : [];
    const [own, next] = handed;
    const found: Proposal[] = [];
    if (own?.sign === ownObject.word)
      found.push(change({ from: own.from, to: next?.from ?? own.to }, "", { name: ownObject.word }));
    for (const each of nodesOf(node)) {
      const target = each.kind === "assignment" ? part(each, "target") : undefined;
      if (target && context.sourceOf(target).startsWith(before))
        found.push(
          change({ from: target.from, to: target.from + before.length }, "", {
            name: context.sourceOf(target).slice(before.length),
          }),
        );
    }
    return found;
  });
}

/** What belongs to an object is given to a variable of the function instead, or the object is not handed in. */
export const ownObjectFamily: EditFamily = {
  id: "own-object",
  says: "the own object before what belongs to it",
  weight: 9,
  reads: "tree",
  mends,
  plants,
  examples: [
    {
      language: "python",
      right: "class Boat:\n    def __init__(self, name):\n        self.name = name\n",
      faulty: "class Boat:\n    def __init__(self, name):\n        name = name\n",
    },
    {
      language: "python",
      right:
        "class Crew:\n    def __init__(self):\n        self.trips = []\n    def count(self):\n        return len(self.trips)\n",
      faulty:
        "class Crew:\n    def __init__(self):\n        trips = []\n    def count(self):\n        return len(self.trips)\n",
    },
    {
      language: "python",
      right: "class Crew:\n    def add(self, trip):\n        print(trip)\n",
      faulty: "class Crew:\n    def add(trip):\n        print(trip)\n",
    },
    {
      language: "java",
      right: "class Car { int load; Car(int load) { this.load = load; } }",
      faulty: "class Car { int load; Car(int load) { load = load; } }",
    },
    {
      language: "csharp",
      right: "class Car { int load; public Car(int load) { this.load = load; } }",
      faulty: "class Car { int load; public Car(int load) { load = load; } }",
    },
  ],
};
