import { change, type EditContext, type EditFamily, insert, type Proposal } from "../edit.ts";
import { ofKind } from "../places.ts";

/** Functions and parts that are named and not called; brackets too many behind what is none. */
function mends(context: EditContext): Proposal[] {
  const named = ofKind(context, "name", "field").flatMap(({ node, around }) => {
    const own = node.kind === "name" && context.functions.includes(node.sign ?? "") && node.role !== "definition";
    const parent = around.at(-1);
    const field =
      node.kind === "field" && node.role !== "target" && parent?.kind !== "import" && parent?.kind !== "field";
    if (node.role === "callee" || (!own && !field)) return [];
    if (own && around.some((each) => each.kind === "import")) return [];
    return [insert(node.to, "()", { name: node.sign ?? "" }, own ? 1 : parent?.kind === "statement" ? 1.2 : 0.5)];
  });
  const tooMany = ofKind(context, "call").flatMap(({ node }) => {
    const text = context.sourceOf(node);
    if (!text.endsWith("()") || node.sign === "new") return [];
    return [change({ from: node.to - 2, to: node.to }, "", { name: text.slice(0, -2) }, 0.4)];
  });
  return [...named, ...tooMany];
}

function plants(context: EditContext): Proposal[] {
  return ofKind(context, "call").flatMap(({ node }) => {
    const text = context.sourceOf(node);
    return text.endsWith("()") && node.sign !== "new"
      ? [change({ from: node.to - 2, to: node.to }, "", { name: text.slice(0, -2) })]
      : [];
  });
}

export const callBrackets: EditFamily = {
  id: "call-brackets",
  says: "brackets of a call that are left off or too many",
  weight: 6,
  reads: "both",
  mends,
  plants,
  examples: [
    { language: "python", right: "name = name.upper()\n", faulty: "name = name.upper\n" },
    {
      language: "java",
      right: "class Main { int f(String s) { return s.length(); } }",
      faulty: "class Main { int f(String s) { return s.length; } }",
    },
    {
      language: "csharp",
      right: "class P { string F(string s) { return s.Trim(); } }",
      faulty: "class P { string F(string s) { return s.Trim; } }",
    },
  ],
};
