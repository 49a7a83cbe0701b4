import { isLoop, part, type SyntaxNode } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { wholeLines } from "../places.ts";

/** Bodies that are one statement, with the statements that follow what heads them in the same block. */
function bareBodies(context: EditContext): Array<{ owner: SyntaxNode; body: SyntaxNode; following: SyntaxNode[] }> {
  return context.nodes.flatMap(({ node, around }) => {
    if (node.kind !== "if" && !isLoop(node)) return [];
    const body = part(node, "otherwise") ?? part(node, "body");
    if (!body || body.kind === "block" || (body.kind === "if" && body.role === "otherwise")) return [];
    const siblings = around.at(-1)?.children ?? [];
    return [{ owner: node, body, following: siblings.slice(siblings.indexOf(node) + 1) }];
  });
}

function marks(context: EditContext): { open: string; close: string } | null {
  const { blocks } = context.writing;
  if (blocks.by === "braces") return { open: "{ ", close: " }" };
  return blocks.by === "two words" ? { open: `${blocks.open} `, close: ` ${blocks.close};` } : null;
}

/** The body and the one or two statements behind it put into a block. */
function putIn(context: EditContext): Proposal[] {
  const { open, close } = marks(context) ?? {};
  if (open === undefined || close === undefined) return [];
  const wider = bareBodies(context).flatMap(({ owner, body, following }) =>
    following.slice(0, 2).flatMap((last, at) => {
      if (last.kind === "function" || last.kind === "case") return [];
      const text = context.text.slice(body.from, last.to);
      const indent = (node: SyntaxNode) => context.lines[context.lineOf(node.from) - 1]?.indent.length ?? 0;
      const within = indent(last) > indent(owner);
      const inside = /;\s*$/.test(text) || !/;/.test(close) ? text : `${text};`;
      return [
        change(
          { from: body.from, to: last.to },
          `${open}${inside}${close}`,
          { statement: context.sourceOf(last).trim() },
          (within ? 1.5 : 0.5) / (at + 1),
        ),
      ];
    }),
  );
  // An else belongs to the nearest if: the inner one in a block of its own gives it to the outer one.
  const inner = context.nodes.flatMap(({ node }) => {
    const body = node.kind === "if" || isLoop(node) ? part(node, "body") : undefined;
    const otherwise = body?.kind === "if" ? part(body, "otherwise") : undefined;
    const own = body && part(body, "body");
    if (!body || !otherwise || !own || node.kind !== "if" || part(node, "otherwise")) return [];
    const text = `${open}${context.text.slice(body.from, own.to)}${close.replace(";", "")}${context.text.slice(own.to, otherwise.to)}`;
    return [change({ from: body.from, to: otherwise.to }, text, { statement: "else" }, 1.2)];
  });
  return [...wider, ...inner];
}

/** The marks of a block of two statements taken away: only the first is left in it. */
function takeOut(context: EditContext): Proposal[] {
  const { open, close } = marks(context) ?? {};
  if (open === undefined || close === undefined) return [];
  return context.nodes.flatMap(({ node, around }) => {
    const owner = around.at(-1);
    if (node.kind !== "block" || !owner || !(owner.kind === "if" || isLoop(owner))) return [];
    const [first, last] = [node.children[0], node.children.at(-1)];
    if (!first || !last) return [];
    const elseInside =
      owner.kind === "if" &&
      owner.children.some((child) => child.role === "otherwise") &&
      first.kind === "if" &&
      node.children.length === 1;
    if (node.children.length < 2 && !elseInside) return [];
    if (elseInside) return [change(node, context.text.slice(first.from, first.to), { statement: "else" }, 1)];
    const ends = context.text.slice(node.to, node.to + 1) === ";" && close.includes(";") ? 1 : 0;
    return [
      change(
        { from: node.from, to: node.to + ends },
        context.text.slice(first.from, last.to),
        { statement: context.sourceOf(last).trim() },
        wholeLines(context, first) ? 1 : 0.7,
      ),
    ];
  });
}

export const blockMarks: EditFamily = {
  id: "block-marks",
  says: "the marks of a block that are left off, so that only one statement belongs to it",
  weight: 9,
  reads: "tree",
  mends: putIn,
  plants: takeOut,
  examples: [
    {
      language: "java",
      right: "class Main { void f(int a) { while (a > 0) { g(a); a--; } } }",
      faulty: "class Main { void f(int a) { while (a > 0) g(a); a--; } }",
    },
    {
      language: "java",
      right: "class Main { void f(int a) { if (a > 0) { if (a > 9) g(a); } else h(a); } }",
      faulty: "class Main { void f(int a) { if (a > 0) if (a > 9) g(a); else h(a); } }",
    },
    {
      language: "c",
      right: "void f(int a) { if (a > 0) { g(a); h(a); } }",
      faulty: "void f(int a) { if (a > 0) g(a); h(a); }",
    },
    {
      language: "csharp",
      right: "class P { void F(int a) { if (a > 0) { G(a); H(a); } } }",
      faulty: "class P { void F(int a) { if (a > 0) G(a); H(a); } }",
    },
    {
      language: "pascal",
      right: "begin\n  if a > 0 then begin b := 1; c := 2; end;\nend.",
      faulty: "begin\n  if a > 0 then b := 1; c := 2;\nend.",
    },
  ],
};
