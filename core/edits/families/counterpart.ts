import { part, parts } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { calledName, ofKind } from "../places.ts";

/** What stands for the other one of two: the least for the greatest, the first for the last, down for up. */
function theOthers(context: EditContext): Proposal[] {
  const { counterparts = [] } = context.writing;
  const other = new Map<string, string[]>();
  for (const [one, two] of counterparts) {
    other.set(one, [...(other.get(one) ?? []), two]);
    other.set(two, [...(other.get(two) ?? []), one]);
  }
  const isOwn = (name: string) => context.functions.includes(name) || context.names.includes(name);
  return ofKind(context, "name", "field", "call").flatMap(({ node }) => {
    const sign = node.sign ?? "";
    if (node.kind === "call") {
      // Where the two differ in what the call is handed: pop() and pop(0).
      const text = context.sourceOf(node);
      const written = [...other.keys()].find((each) => each.endsWith(")") && text.endsWith(`.${each}`));
      const from = node.to - (written?.length ?? 0);
      return (other.get(written ?? "") ?? []).map((after) =>
        change({ from, to: node.to }, after, { before: written ?? "", after }, 1),
      );
    }
    if (isOwn(sign) || node.role === "definition" || (node.kind === "name" && node.role !== "callee")) return [];
    const from = node.to - sign.length;
    if (context.text.slice(from, node.to) !== sign) return [];
    return (other.get(sign) ?? []).map((after) => change({ from, to: node.to }, after, { before: sign, after }, 1));
  });
}

/** What is put in at the other end of a list: behind its last element for before its first one, and the other way. */
function otherEnds(context: EditContext): Proposal[] {
  const { ends = [] } = context.writing;
  return ofKind(context, "call").flatMap(({ node }) => {
    const callee = part(node, "callee");
    const [given] = parts(node, "argument").slice(-1);
    const name = calledName(node);
    if (callee?.kind !== "field" || !given || context.functions.includes(name)) return [];
    const place = context.text.slice(callee.to + 1, given.from);
    const from = callee.to - name.length;
    return ends.flatMap(({ last, first, place: before }) => {
      const isLast = name === last && place === "";
      const isFirst = name === first && place.replace(/\s+/g, "") === before.trim() && before !== "";
      if (!isLast && !isFirst) return [];
      const after = isLast ? `${first}(${before}` : `${last}(`;
      return [change({ from, to: given.from }, after, { before: `${name}(${place}`, after }, 0.8)];
    });
  });
}

const bothEnds = (context: EditContext) => [...theOthers(context), ...otherEnds(context)];

/** A function of the library for the one that does the same from the other end. */
export const counterpart: EditFamily = {
  id: "counterpart",
  says: "one of two that belong together in the place of the other: the least and the greatest, the first and the last",
  weight: 6,
  reads: "tree",
  mends: bothEnds,
  plants: bothEnds,
  examples: [
    { language: "python", right: "print(max(loads))\n", faulty: "print(min(loads))\n" },
    { language: "python", right: "first = queue.pop(0)\n", faulty: "first = queue.pop()\n" },
    {
      language: "java",
      right: 'class Main { boolean f(String s) { return s.startsWith("K"); } }',
      faulty: 'class Main { boolean f(String s) { return s.endsWith("K"); } }',
    },
    { language: "python", right: "queue.append(boat)\n", faulty: "queue.insert(0, boat)\n" },
    {
      language: "csharp",
      right: "class P { void F() { queue.Insert(0, boat); } }",
      faulty: "class P { void F() { queue.Add(boat); } }",
    },
    {
      language: "c",
      right: "double f(double x) { return ceil(x); }",
      faulty: "double f(double x) { return floor(x); }",
    },
    {
      language: "csharp",
      right: "class P { int F(int[] a) { return a.First(); } }",
      faulty: "class P { int F(int[] a) { return a.Last(); } }",
    },
    { language: "pascal", right: "begin\n  n := trunc(x);\nend.\n", faulty: "begin\n  n := round(x);\nend.\n" },
    { language: "octave", right: "low = min(km);\n", faulty: "low = max(km);\n" },
  ],
};
