import { isLoop, isStatement, type SyntaxNode } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { misplacedByIndent } from "../indented.ts";
import { ownLinks } from "../links.ts";
import { blocksOf, indentUnit, lineEndOf, reindent, wholeLines } from "../places.ts";
import { stepsInBranches } from "../stepsInBranches.ts";

type Lines = NonNullable<ReturnType<typeof wholeLines>>;

/** Whole lines cut out and put in again before an offset, with the indentation of their new place. */
function move(
  context: EditContext,
  lines: Lines,
  before: number,
  indent: string,
  odds: number,
  where: string,
): Proposal[] {
  const ending = lineEndOf(context);
  const raw = context.text.slice(lines.from, lines.to);
  const text = reindent(raw.endsWith("\n") || raw.endsWith("\r") ? raw : raw + ending, lines.first.indent, indent);
  const parameters = { statement: raw.trim(), where };
  if (before >= lines.to) {
    const between = context.text.slice(lines.to, before);
    const lead = between !== "" && !/[\r\n]$/.test(between) ? ending : "";
    return [change({ from: lines.from, to: before }, between + lead + text, parameters, odds)];
  }
  if (before <= lines.from)
    return [change({ from: before, to: lines.to }, text + context.text.slice(before, lines.from), parameters, odds)];
  return [];
}

/** A statement of ours is the body of something, or stands in a block that is. */
function ownerOf(block: SyntaxNode, around: readonly SyntaxNode[]): SyntaxNode | undefined {
  const parent = around.at(-1);
  return block.role === "body" || block.role === "otherwise" ? parent : undefined;
}

/** The last block inside a compound statement: where a statement behind it would go in. */
function lastBlock(node: SyntaxNode): SyntaxNode | undefined {
  const inner = node.children.findLast((child) => child.role === "otherwise" || child.role === "body");
  if (!inner) return undefined;
  return inner.kind === "block"
    ? inner
    : inner.kind === "if" && inner.role === "otherwise"
      ? lastBlock(inner)
      : undefined;
}

function indentOf(context: EditContext, node: SyntaxNode): string {
  return context.lines[context.lineOf(node.from) - 1]?.indent ?? "";
}

/** Out of the block behind or before what heads it, into one that stands before or behind, and along its own block. */
function moves(context: EditContext): Proposal[] {
  const found: Proposal[] = [];
  const unit = indentUnit(context);
  const misplaced = new Set(
    [...misplacedByIndent(context), ...stepsInBranches(context)].map(({ statement }) => statement),
  );
  const turned = new Set(ownLinks(context).map(({ first }) => first));
  for (const { block, statements, around } of blocksOf(context)) {
    const owner = ownerOf(block, around);
    for (const [at, statement] of statements.entries()) {
      const lines = wholeLines(context, statement);
      if (!lines) continue;
      const isSmall = ["statement", "return", "leave", "declaration"].includes(statement.kind);
      const next = statements[at + 1];
      const before = statements[at - 1];
      if (owner && isStatement(owner) && statements.length > 1) {
        const around = wholeLines(context, owner);
        if (around) {
          const indent = indentOf(context, owner);
          const loop = isLoop(owner);
          if (at === statements.length - 1)
            found.push(
              ...move(
                context,
                lines,
                around.to,
                indent,
                (loop ? 1 : 0.7) * (misplaced.has(statement) ? 4 : 1),
                "out, behind",
              ),
            );
          if (at === 0 && isSmall)
            found.push(...move(context, lines, around.from, indent, loop ? 0.9 : 0.5, "out, before"));
          if (at > 0 && at < statements.length - 1 && isSmall)
            found.push(
              ...move(context, lines, around.to, indent, 0.25, "out, behind"),
              ...move(context, lines, around.from, indent, 0.2, "out, before"),
            );
        }
      }
      // Into the block of what stands before it, at its end; into that of what comes next, at its beginning.
      const inside = before && !isSmallStatement(before) ? lastBlock(before) : undefined;
      const lastInside = inside?.children.at(-1);
      const linesInside = lastInside && wholeLines(context, lastInside);
      if (before && linesInside && (isSmall || statement.kind === "if")) {
        // What is indented as though it stood there is the likeliest; a decision is seldom put behind a block by accident.
        const odds = (isLoop(before) ? 1 : 0.6) * (isSmall ? 1 : 0.5) * (misplaced.has(statement) ? 4 : 1);
        found.push(...move(context, lines, linesInside.to, linesInside.first.indent, odds, "in, at the end"));
      }
      const ahead =
        next && !isSmallStatement(next)
          ? next.children.find((child) => child.role === "body" && child.kind === "block")
          : undefined;
      const firstInside = ahead?.children[0];
      const linesAhead = firstInside && wholeLines(context, firstInside);
      if (next && linesAhead && isSmall)
        found.push(
          ...move(
            context,
            lines,
            linesAhead.from,
            linesAhead.first.indent,
            isLoop(next) ? 0.8 : 0.3,
            "in, at the beginning",
          ),
        );
      const following = next && wholeLines(context, next);
      if (following && (isSmall || isSmallStatement(next)))
        found.push(...move(context, lines, following.to, lines.first.indent, turned.has(statement) ? 4 : 0.5, "along"));
    }
  }
  // In a language whose blocks are indented, a block's last line may belong to a block further out.
  if (context.writing.blocks.by === "indentation") found.push(...furtherOut(context, unit));
  return found;
}

function isSmallStatement(node: SyntaxNode): boolean {
  return ["statement", "return", "leave", "declaration"].includes(node.kind);
}

/** The last statement of nested blocks moved out by two. */
function furtherOut(context: EditContext, unit: string): Proposal[] {
  return blocksOf(context).flatMap(({ block, statements, around }) => {
    const last = statements.at(-1);
    const owner = ownerOf(block, around);
    const lines = last && wholeLines(context, last);
    if (!owner || !lines || statements.length < 2) return [];
    const indent = lines.first.indent;
    if (indent.length < 2 * unit.length) return [];
    const text = reindent(
      context.text.slice(lines.from, lines.to),
      indent,
      indent.slice(0, indent.length - 2 * unit.length),
    );
    const next = context.lines[lines.last.number]?.indent ?? "";
    if (next.length > indent.length - 2 * unit.length && (context.lines[lines.last.number]?.code.length ?? 0) > 0)
      return [];
    return [change({ from: lines.from, to: lines.to }, text, { statement: text.trim(), where: "out, behind" }, 0.4)];
  });
}

export const moved: EditFamily = {
  id: "moved",
  says: "a statement that stands in the wrong block or in the wrong order",
  weight: 9,
  reads: "tree",
  mends: moves,
  plants: moves,
  examples: [
    {
      language: "python",
      right: "for load in loads:\n    total += load\n    count += 1\nprint(total)\n",
      faulty: "for load in loads:\n    total += load\n    count += 1\n    print(total)\n",
    },
    {
      language: "python",
      right: "total = 0\nfor load in loads:\n    total += load\n",
      faulty: "for load in loads:\n    total = 0\n    total += load\n",
    },
    {
      language: "java",
      right: "class Main {\n  void f(int[] a) {\n    int s = 0;\n    for (int x : a) {\n      s += x;\n    }\n  }\n}\n",
      faulty:
        "class Main {\n  void f(int[] a) {\n    for (int x : a) {\n      int s = 0;\n      s += x;\n    }\n  }\n}\n",
    },
    {
      language: "c",
      right: "void f(int n) {\n  while (n > 0) {\n    g(n);\n    n--;\n  }\n}\n",
      faulty: "void f(int n) {\n  while (n > 0) {\n    g(n);\n  }\n  n--;\n}\n",
    },
    {
      language: "csharp",
      right: "class P {\n  void F(int n) {\n    n++;\n    G(n);\n  }\n}\n",
      faulty: "class P {\n  void F(int n) {\n    G(n);\n    n++;\n  }\n}\n",
    },
    {
      language: "pascal",
      right: "begin\n  for i := 1 to 3 do\n  begin\n    s := s + i;\n    t := i;\n  end;\n  writeln(s);\nend.",
      faulty: "begin\n  for i := 1 to 3 do\n  begin\n    s := s + i;\n    t := i;\n    writeln(s);\n  end;\nend.",
    },
    {
      language: "octave",
      right: "for i = 1:3\n  s = s + i;\n  t = i;\nend\ndisp(s)\n",
      faulty: "for i = 1:3\n  s = s + i;\n  t = i;\n  disp(s)\nend\n",
    },
  ],
};
