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

/** A row of values that is to stand as a column, or the other way: by the sign between them. */
function otherWay(context: EditContext): Proposal[] {
  const { standing } = context.writing;
  if (!standing) return [];
  return ofKind(context, "list").flatMap(({ node }) => {
    const text = context.sourceOf(node);
    const [flat, upright] = standing;
    if (!text.startsWith("[") || node.children.length < 2 || node.children.some(({ kind }) => kind !== "number"))
      return [];
    const numbers = node.children.map((child) => context.sourceOf(child));
    const isUpright = text.includes(upright.trim());
    if (isUpright && text.includes(flat.trim())) return [];
    const after = `[${numbers.join(isUpright ? flat : upright)}]`;
    return [change(node, after, { after }, 0.8)];
  });
}

/** All values of a table, whatever its rows, where a call works along its columns. */
function ofAll(context: EditContext): Proposal[] {
  const { allOf } = context.writing;
  if (!allOf) return [];
  return alongCalls(context).flatMap(({ given }) => {
    const [first] = given;
    return first?.kind === "name" && given.length === 1
      ? [insert(first.to, allOf, { after: `${first.sign}${allOf}` }, 0.6)]
      : [];
  });
}

/** Sums, largest and least values of rows for those of columns, and the other way. */
export const alongFamily: EditFamily = {
  id: "along",
  says: "whether rows or columns of a table are worked out",
  weight: 6,
  reads: "tree",
  mends: (context): Proposal[] => [
    ...alongCalls(context).flatMap(({ given, rows }) => {
      const [first] = given;
      return first && given.length === 1 ? [insert(first.to, rows, { after: rows.replace(/^, /, "") }, 1.2)] : [];
    }),
    ...otherWay(context),
    ...ofAll(context),
  ],
  plants: (context): Proposal[] => [
    ...alongCalls(context).flatMap(({ given, rows }) => {
      const [first, last] = [given[0], given.at(-1)];
      if (!first || !last || first === last) return [];
      const place = { from: first.to, to: last.to };
      return context.sourceOf(place).replaceAll(" ", "") === rows.replaceAll(" ", "")
        ? [change(place, "", { after: "" })]
        : [];
    }),
    ...otherWay(context),
    ...alongCalls(context).flatMap(({ given: [first] }) => {
      const { allOf } = context.writing;
      const text = first ? context.sourceOf(first) : "";
      return first && allOf && text.endsWith(allOf) ? [change(first, text.slice(0, -allOf.length), { after: "" })] : [];
    }),
  ],
  examples: [
    { language: "octave", right: "w = [1; 2; 3];\n", faulty: "w = [1, 2, 3];\n" },
    { language: "octave", right: "n = sum(loads(:));\n", faulty: "n = sum(loads);\n" },
    { language: "octave", right: "totals = sum(marks, 2);\n", faulty: "totals = sum(marks);\n" },
    { language: "octave", right: "best = max(marks, [], 2);\n", faulty: "best = max(marks);\n" },
  ],
};
