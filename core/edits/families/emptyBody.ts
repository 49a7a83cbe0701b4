import { isLoop, part } from "../../syntax/tree.ts";
import { type EditContext, type EditFamily, insert, type Proposal } from "../edit.ts";

/** Signs that end a statement right behind what heads a body: the body is empty by them. */
function mends(context: EditContext): Proposal[] {
  const { blocks, statementEnd } = context.writing;
  if (statementEnd === "" || blocks.by === "end word") return [];
  const { code } = context;
  return context.nodes.flatMap(({ node }) => {
    if (node.kind !== "if" && !isLoop(node)) return [];
    const body = part(node, "body");
    if (blocks.by === "braces") {
      if (
        body?.kind !== "statement" ||
        body.children.length > 0 ||
        context.sourceOf(body).trim() !== ";" ||
        node.kind === "do"
      )
        return [];
      return [{ from: body.from, to: body.from + 1, text: "", parameters: {}, odds: 1 }];
    }
    if (body) return [];
    const sign = code.findIndex((token) => token.from >= node.to - 1 && token.text === ";");
    const before = code[sign - 1];
    const found = code[sign];
    if (!found || !before || !/^(do|then|else)$/i.test(before.text)) return [];
    return [{ from: found.from, to: found.to, text: "", parameters: {}, odds: 1 }];
  });
}

function plants(context: EditContext): Proposal[] {
  const { blocks, statementEnd } = context.writing;
  if (statementEnd === "" || blocks.by === "end word") return [];
  return context.nodes.flatMap(({ node }) => {
    if (node.kind !== "while" && node.kind !== "for" && node.kind !== "foreach" && node.kind !== "if") return [];
    const body = part(node, "body");
    if (!body || part(node, "otherwise")) return [];
    const before = context.code.findLast((token) => token.to <= body.from);
    return before ? [insert(before.to, ";", {})] : [];
  });
}

export const emptyBody: EditFamily = {
  id: "empty-body",
  says: "a sign that ends a loop or a decision before its body begins",
  weight: 12,
  reads: "tree",
  mends,
  plants,
  examples: [
    {
      language: "java",
      right: "class Main { void f(int n) { for (int i = 0; i < n; i++) { g(i); } } }",
      faulty: "class Main { void f(int n) { for (int i = 0; i < n; i++); { g(i); } } }",
    },
    { language: "c", right: "void f(int n) { if (n > 3) g(n); }", faulty: "void f(int n) { if (n > 3); g(n); }" },
    {
      language: "csharp",
      right: "class P { void F(int n) { while (n > 3) { n--; } } }",
      faulty: "class P { void F(int n) { while (n > 3); { n--; } } }",
    },
    {
      language: "pascal",
      right: "begin\n  for i := 1 to 3 do\n    s := s + i;\nend.",
      faulty: "begin\n  for i := 1 to 3 do;\n    s := s + i;\nend.",
    },
  ],
};
