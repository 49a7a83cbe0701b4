import { parts } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, insert, type Proposal } from "../edit.ts";
import { calledName, ofKind } from "../places.ts";

/** Calls that work along the columns of a table unless they are told to work along its rows, with what they are handed. */
function alongCalls(context: EditContext) {
  const { along } = context.writing;
  if (!along) return [];
  return ofKind(context, "call").flatMap(({ node }) => {
    const handed = along.find(({ names }) => names.includes(calledName(node)));
    const given = parts(node, "argument");
    return handed && given.length > 0 ? [{ node, given, rows: handed.rows }] : [];
  });
}

/** Sums, largest and least values of rows for those of columns, and the other way. */
export const alongFamily: EditFamily = {
  id: "along",
  says: "whether rows or columns of a table are worked out",
  weight: 6,
  reads: "tree",
  mends: (context): Proposal[] =>
    alongCalls(context).flatMap(({ given, rows }) => {
      const [first] = given;
      return first && given.length === 1 ? [insert(first.to, rows, { after: rows.replace(/^, /, "") }, 1.2)] : [];
    }),
  plants: (context): Proposal[] =>
    alongCalls(context).flatMap(({ given, rows }) => {
      const [first, last] = [given[0], given.at(-1)];
      if (!first || !last || first === last) return [];
      const place = { from: first.to, to: last.to };
      return context.sourceOf(place).replaceAll(" ", "") === rows.replaceAll(" ", "")
        ? [change(place, "", { after: "" })]
        : [];
    }),
  examples: [
    { language: "octave", right: "totals = sum(marks, 2);\n", faulty: "totals = sum(marks);\n" },
    { language: "octave", right: "best = max(marks, [], 2);\n", faulty: "best = max(marks);\n" },
  ],
};
