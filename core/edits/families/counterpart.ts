import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { ofKind } from "../places.ts";

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

/** A function of the library for the one that does the same from the other end. */
export const counterpart: EditFamily = {
  id: "counterpart",
  says: "one of two that belong together in the place of the other: the least and the greatest, the first and the last",
  weight: 6,
  reads: "tree",
  mends: theOthers,
  plants: theOthers,
  examples: [
    { language: "python", right: "print(max(loads))\n", faulty: "print(min(loads))\n" },
    { language: "python", right: "first = queue.pop(0)\n", faulty: "first = queue.pop()\n" },
    {
      language: "java",
      right: 'class Main { boolean f(String s) { return s.startsWith("K"); } }',
      faulty: 'class Main { boolean f(String s) { return s.endsWith("K"); } }',
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
