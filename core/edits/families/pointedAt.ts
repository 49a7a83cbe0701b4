import { escaped } from "../../source/escaped.ts";
import { part } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { ofKind } from "../places.ts";
import { changedAddresses, nowherePointers } from "../pointers.ts";

/** What a pointer points at in the place of the pointer itself, in all of an assignment. */
function mends(context: EditContext): Proposal[] {
  return changedAddresses(context).flatMap(({ node, name }) => {
    const before = context.sourceOf(node);
    // A pointer that goes on by itself walks through a list, which is hardly a slip.
    const walks = /^(?:\+\+|--)$/.test(node.sign ?? "") || part(node, "value")?.kind === "constant";
    const after = before.replace(new RegExp(String.raw`(?<![\w.*&>])${escaped(name)}\b`, "g"), (word) =>
      walks ? `(*${word})` : `*${word}`,
    );
    return [change(node, after, { before, after }, walks ? 0.4 : 1)];
  });
}

/** A place for a pointer that points nowhere: a variable of its type. */
function placesForPointers(context: EditContext): Proposal[] {
  return nowherePointers(context).flatMap(({ node, name, places }) =>
    places.map((place) =>
      change(node, `*${name} = &${place}`, { before: context.sourceOf(node), after: `&${place}` }, 1.5 / places.length),
    ),
  );
}

/** The other way: a pointer that points nowhere from the beginning. */
function pointsNowhere(context: EditContext): Proposal[] {
  return ofKind(context, "declaration").flatMap(({ node }) =>
    node.children.flatMap((each) => {
      const found = /^\*\s*(\w+)\s*=\s*&\w+$/.exec(context.sourceOf(each));
      return found ? [change(each, `*${found[1]} = NULL`, { before: context.sourceOf(each), after: "NULL" })] : [];
    }),
  );
}

/** An assignment to what a pointer points at, without the signs that say so. */
function plants(context: EditContext): Proposal[] {
  return ofKind(context, "assignment").flatMap(({ node }) => {
    const target = part(node, "target");
    const pointed = target?.kind === "unary" && target.sign === "*" ? target.children[0] : undefined;
    if (pointed?.kind !== "name") return [];
    const before = context.sourceOf(node);
    const after = before.replace(new RegExp(String.raw`\*\s*(${escaped(pointed.sign ?? "")}\b)`, "g"), "$1");
    return [change(node, after, { before, after })];
  });
}

/** A pointer is changed where what it points at is meant. */
export const pointedAt: EditFamily = {
  id: "pointed-at",
  says: "a pointer that points nowhere, or is changed in the place of what it points at",
  weight: 9,
  reads: "tree",
  mends: (context) => [...mends(context), ...placesForPointers(context)],
  plants: (context) => [...plants(context), ...pointsNowhere(context)],
  examples: [
    {
      language: "c",
      right: "void f(void)\n{\n    struct Boat boat = {12};\n    struct Boat *p = &boat;\n    p->cars = 3;\n}\n",
      faulty: "void f(void)\n{\n    struct Boat boat = {12};\n    struct Boat *p = NULL;\n    p->cars = 3;\n}\n",
    },
    {
      language: "c",
      right: "void add(int *total, int load)\n{\n    *total = *total + load;\n}\n",
      faulty: "void add(int *total, int load)\n{\n    total = total + load;\n}\n",
    },
    {
      language: "c",
      right: "void add(int *total, int load)\n{\n    *total += load;\n}\n",
      faulty: "void add(int *total, int load)\n{\n    total += load;\n}\n",
    },
  ],
};
