import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { blocksOf, wholeLines } from "../places.ts";

/** A statement too many is taken out with its lines. It comes last of all: what is taken out may have been meant. */
function mends(context: EditContext): Proposal[] {
  return blocksOf(context).flatMap(({ statements, block }) =>
    statements.flatMap((statement) => {
      const lines = wholeLines(context, statement);
      if (!lines || !["statement", "leave", "return"].includes(statement.kind)) return [];
      if (block.kind === "block" && statements.length < 2) return [];
      return [change(lines, "", { statement: context.sourceOf(statement).trim() })];
    }),
  );
}

/** The other way: a statement stands twice. */
function plants(context: EditContext): Proposal[] {
  return blocksOf(context).flatMap(({ statements }) =>
    statements.flatMap((statement) => {
      const lines = wholeLines(context, statement);
      const next = lines && context.lines[lines.last.number];
      if (!lines || !next || statement.kind !== "statement") return [];
      return [
        change({ from: next.from, to: next.from }, context.text.slice(lines.from, lines.to), {
          statement: context.sourceOf(statement).trim(),
        }),
      ];
    }),
  );
}

export const extraStatement: EditFamily = {
  id: "extra-statement",
  says: "a statement too many",
  weight: 1,
  reads: "tree",
  mends,
  plants,
  examples: [
    { language: "python", right: "count += 1\nprint(count)\n", faulty: "count += 1\ncount += 1\nprint(count)\n" },
    {
      language: "java",
      right: "class Main {\n  void f() {\n    n++;\n    g();\n  }\n}\n",
      faulty: "class Main {\n  void f() {\n    n++;\n    n++;\n    g();\n  }\n}\n",
    },
    {
      language: "c",
      right: "void f(void) {\n  n++;\n  g();\n}\n",
      faulty: "void f(void) {\n  n++;\n  n++;\n  g();\n}\n",
    },
    {
      language: "csharp",
      right: "class P {\n  void F() {\n    n++;\n    G();\n  }\n}\n",
      faulty: "class P {\n  void F() {\n    n++;\n    n++;\n    G();\n  }\n}\n",
    },
    {
      language: "pascal",
      right: "begin\n  n := n + 1;\n  writeln(n);\nend.",
      faulty: "begin\n  n := n + 1;\n  n := n + 1;\n  writeln(n);\nend.",
    },
    { language: "octave", right: "n = n + 1;\ndisp(n)\n", faulty: "n = n + 1;\nn = n + 1;\ndisp(n)\n" },
  ],
};
