import { part, parts } from "../../syntax/tree.ts";
import { type EditContext, type EditFamily, insert, type Proposal } from "../edit.ts";
import { calledName, nameOfFunction, ofKind } from "../places.ts";
import { scopesOf } from "../scopes.ts";

/** How many values are tried at one place. */
const mostChoices = 6;

/**
 * A value that a call of an own function lacks: what is called as the parameter is, what other calls hand over there, then
 * what else is known, at each place where it may be left out.
 */
function mends(context: EditContext): Proposal[] {
  const { isKnownAt, areDeclaredAlike } = scopesOf(context);
  const calls = ofKind(context, "call");
  return ofKind(context, "function").flatMap(({ node: own }) => {
    const name = nameOfFunction(own);
    const handed = own.children.filter((child) => child.kind === "parameter").map((child) => child.sign ?? "");
    const ownWord = context.writing.ownObject?.isHanded ? context.writing.ownObject.word : undefined;
    const wanted = handed.filter((each) => each !== ownWord);
    const others = calls.filter(({ node }) => calledName(node).split(".").at(-1) === name);
    return others.flatMap(({ node, around }) => {
      const given = parts(node, "argument");
      if (given.length !== wanted.length - 1) return [];
      return wanted.flatMap((parameter, at) => {
        const elsewhere = others.flatMap((each) => {
          const there = parts(each.node, "argument");
          return there.length === wanted.length && there[at] ? [context.sourceOf(there[at])] : [];
        });
        const known = context.names.filter((each) => isKnownAt(each, around) && areDeclaredAlike(parameter, each));
        const choices = [...new Set([...known.filter((each) => each === parameter), ...elsewhere, ...known])];
        const before = given[at];
        const end = given.at(-1)?.to ?? node.to - 1;
        return choices.slice(0, mostChoices).map((value, rank) => {
          const odds = (rank === 0 ? 1 : 0.6) * (at === wanted.length - 1 ? 1 : 0.7);
          const text = before ? `${value}, ` : given.length > 0 ? `, ${value}` : value;
          return insert(before ? before.from : end, text, { name, value }, odds);
        });
      });
    });
  });
}

/** The last value of a call of an own function, left out. */
function plants(context: EditContext): Proposal[] {
  return ofKind(context, "call").flatMap(({ node }) => {
    const given = parts(node, "argument");
    const [before, last] = [given.at(-2), given.at(-1)];
    if (!last || !part(node, "callee") || !context.functions.includes(calledName(node))) return [];
    const from = before ? before.to : last.from;
    return [{ from, to: last.to, text: "", parameters: { value: context.sourceOf(last) }, odds: 1 }];
  });
}

/** A call that hands over one value less than its function takes. */
export const argumentLeftOut: EditFamily = {
  id: "argument-left-out",
  says: "a value that a call is to hand over",
  weight: 7,
  reads: "tree",
  mends,
  plants,
  examples: [
    {
      language: "python",
      right: 'def fare(zone, day):\n    return zone\nfare(2, "mon")\nprint(fare(3, "mon"))\n',
      faulty: 'def fare(zone, day):\n    return zone\nfare(2, "mon")\nprint(fare(3))\n',
    },
    {
      language: "c",
      right:
        "int seats(int rows, int places) { return rows * places; }\nint f(int rows, int places) { return seats(rows, places); }\n",
      faulty:
        "int seats(int rows, int places) { return rows * places; }\nint f(int rows, int places) { return seats(rows); }\n",
    },
  ],
};
