import { gatherings, startsOf } from "../../edits/gathered.ts";
import { functionAround, isAddressTaken, ofKind } from "../../edits/places.ts";
import { nodesOf, part } from "../../syntax/tree.ts";
import type { Mistake } from "./mistake.ts";

/** A name that is declared without a value and added to: it begins with whatever lies there. */
export const addedToNothing: Mistake = {
  id: "read-before-set",
  weight: 96,
  find: (context) => {
    if (context.writing.variables !== "declared in place") return [];
    const added = gatherings(context);
    return ofKind(context, "declaration").flatMap(({ node, around }) => {
      const owner = functionAround(around);
      if (!owner) return [];
      const bare = node.children.filter((child) => child.kind === "name" && child.role === "definition");
      return bare.flatMap(({ sign: name = "" }) => {
        const gathers = added.some((each) => each.name === name && functionAround(each.placed.around) === owner);
        // Any other value that it is given, or the address by which another function may give it one.
        const isGiven =
          startsOf(context, name).length > 0 ||
          nodesOf(owner).some(
            (each) =>
              each.kind === "assignment" &&
              (part(each, "target") ?? part(each, "definition"))?.sign === name &&
              !added.some(({ placed }) => placed.node === each),
          ) ||
          isAddressTaken(context.sourceOf(owner), name);
        if (!gathers || isGiven) return [];
        const why = `“${name}” is declared here without a value, and added to: it begins with whatever lies there.`;
        return [{ line: context.lineOf(node.from), names: [name], why }];
      });
    });
  },
  examples: [
    {
      language: "c",
      text: "int f(int a[], int n) {\n  int calm;\n  for (int i = 0; i < n; i++)\n    if (a[i] < 20)\n      calm++;\n  return calm;\n}\n",
      line: 2,
    },
  ],
};
