import { change, type EditContext, type EditFamily, insert, type Proposal } from "../edit.ts";
import { calledName, ofKind } from "../places.ts";

/** Calls that put in order, each the other way round: with the word for it where it has none, without it where it has. */
function otherOrders(context: EditContext): Proposal[] {
  const { sortOrders = [] } = context.writing;
  return ofKind(context, "call").flatMap(({ node }) => {
    const name = calledName(node);
    return sortOrders.flatMap(({ calls, handed, behind, turned }) => {
      if (!calls.includes(name)) return [];
      const at = turned === undefined ? -1 : context.sourceOf(node).lastIndexOf(turned);
      if (turned !== undefined && handed !== undefined && at >= 0) {
        const from = node.from + at;
        return [change({ from, to: from + turned.length }, handed, { before: turned, after: handed })];
      }
      if (behind !== undefined) {
        const place = { from: node.to, to: node.to + behind.length };
        return context.sourceOf(place) === behind
          ? [change(place, "", { before: behind, after: "" })]
          : [insert(node.to, behind, { before: "", after: behind })];
      }
      const source = context.sourceOf(node);
      if (handed === undefined || !source.endsWith(")")) return [];
      const inside = source.slice(0, -1);
      const last = inside.trimEnd();
      const other = turned === undefined ? [] : [turned];
      if (last.endsWith(handed)) {
        const kept = last.slice(0, -handed.length).trimEnd();
        const from = node.from + (kept.endsWith(",") ? kept.length - 1 : last.length - handed.length);
        const whole = { from: node.from + last.length - handed.length, to: node.from + last.length };
        return [
          change({ from, to: node.from + inside.length }, "", { before: handed, after: "" }),
          ...other.map((word) => change(whole, word, { before: handed, after: word }, 0.8)),
        ];
      }
      const text = last.endsWith("(") ? handed : `, ${handed}`;
      return [insert(node.to - 1, text, { before: "", after: handed })];
    });
  });
}

/** An order from the greatest down for one from the least up, and the other way round. */
export const sortOrder: EditFamily = {
  id: "sort-order",
  says: "the order in which values are sorted: from the greatest down, or from the least up",
  weight: 6,
  reads: "tree",
  mends: otherOrders,
  plants: otherOrders,
  examples: [
    { language: "python", right: "loads.sort(reverse=True)\n", faulty: "loads.sort()\n" },
    {
      language: "python",
      right: "for load in sorted(loads):\n    print(load)\n",
      faulty: "for load in sorted(loads, reverse=True):\n    print(load)\n",
    },
    {
      language: "java",
      right: "class Main { void f(List<Integer> a) { Collections.sort(a, Collections.reverseOrder()); } }",
      faulty: "class Main { void f(List<Integer> a) { Collections.sort(a); } }",
    },
    {
      language: "java",
      right: "class Main { void f(List<Boat> a) { a.sort(Comparator.comparing(Boat::load).reversed()); } }",
      faulty: "class Main { void f(List<Boat> a) { a.sort(Comparator.comparing(Boat::load)); } }",
    },
    { language: "octave", right: 'down = sort(loads, "descend");\n', faulty: "down = sort(loads);\n" },
  ],
};
