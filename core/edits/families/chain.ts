import { nodesOf, part, type SyntaxNode } from "../../syntax/tree.ts";
import { elseIfsApart } from "../branches.ts";
import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { blocksOf, indentUnit, lineEndOf, namesGivenIn, ofKind, reindent, wholeLines } from "../places.ts";

function wordAt(context: EditContext, node: SyntaxNode) {
  return context.code.find((token) => token.from >= node.from);
}

/** Odds of a link where the later decision undoes what the one before it did. */
const overriding = 2.5;

/** True where a decision gives a name another value that the one before it has just given it, and asks for the same. */
function overrides(later: SyntaxNode, before: SyntaxNode): boolean {
  const given = namesGivenIn(before);
  const asked = subjectsOf(part(before, "condition"));
  const isAlike = subjectsOf(part(later, "condition")).some((each) => asked.includes(each));
  return isAlike && part(later, "otherwise") !== undefined && namesGivenIn(later).some((name) => given.includes(name));
}

/** A decision of its own becomes a link of the chain before it. */
function link(context: EditContext): Proposal[] {
  const { blocks, chained: word } = context.writing;
  return blocksOf(context).flatMap(({ statements }) =>
    statements.flatMap((statement, at) => {
      const before = statements[at - 1];
      if (statement.kind !== "if" || before?.kind !== "if" || lastOtherwise(before)) return [];
      const head = wordAt(context, statement);
      if (!head) return [];
      const odds = overrides(statement, before) ? overriding : 1;
      if (blocks.by === "end word") {
        // The end of the decision before goes away.
        const last = context.code.findLast((token) => token.to <= before.to);
        const end = last && context.lines[last.line - 1]?.code;
        const lines =
          end?.[0] && /^end ?(if)?$/i.test(end.map((token) => token.text).join(" "))
            ? wholeLines(context, end[0])
            : null;
        if (!lines) return [];
        return [
          change(
            { from: lines.from, to: head.to },
            context.text.slice(lines.to, head.from) + word,
            { before: head.text, after: word },
            odds,
          ),
        ];
      }
      if (blocks.by === "two words") {
        // What parts the two statements goes away.
        const sign = context.code.findLast((token) => token.to <= head.from && token.text === ";");
        if (!sign || sign.to > statement.from) return [];
        return [
          change(
            { from: sign.from, to: head.to },
            context.text.slice(sign.to, head.from) + word,
            { before: head.text, after: word },
            odds,
          ),
        ];
      }
      return [change(head, word, { before: head.text, after: word }, odds)];
    }),
  );
}

/** `else` before the statement behind a decision: it is done in any case, and was meant for the other one. */
function otherwise(context: EditContext): Proposal[] {
  const { blocks } = context.writing;
  if (blocks.by !== "braces" && blocks.by !== "indentation") return [];
  return blocksOf(context).flatMap(({ statements }) =>
    statements.flatMap((statement, at) => {
      const before = statements[at - 1];
      if (statement.kind !== "statement" || before?.kind !== "if" || lastOtherwise(before)) return [];
      const lines = wholeLines(context, statement);
      if (!lines) return [];
      // What the decision gives a value as well is the likelier to be meant for the other case.
      const odds = namesGivenIn(before).some((name) => namesGivenIn(statement).includes(name)) ? 1.5 : 0.6;
      const { indent } = lines.first;
      const text = context.text.slice(lines.from, lines.to);
      const head = `${indent}else${blocks.by === "indentation" ? ":" : ""}${lineEndOf(context)}`;
      const put = head + reindent(text, indent, indent + indentUnit(context));
      return [{ ...change(lines, put, { before: "", after: "else" }, odds), about: statement.from }];
    }),
  );
}

/** The other way: what is done in the other case, done in any. */
function always(context: EditContext): Proposal[] {
  const { blocks } = context.writing;
  if (blocks.by !== "braces" && blocks.by !== "indentation") return [];
  return ofKind(context, "if").flatMap(({ node }) => {
    const other = part(node, "otherwise");
    const only = other?.kind === "block" ? (other.children.length === 1 ? other.children[0] : undefined) : other;
    const word = context.code.findLast((token) => token.to <= (other?.from ?? 0) && token.text === "else");
    const lines = only?.kind === "statement" ? wholeLines(context, only) : null;
    const head = word && context.lines[word.line - 1];
    if (!only || !lines || !head || head.code[0] !== word || word.line >= lines.first.number) return [];
    if (context.sourceOf(other ?? only).startsWith("{")) return [];
    const text = reindent(context.text.slice(lines.from, lines.to), lines.first.indent, head.indent);
    return [change({ from: head.from, to: lines.to }, text, { before: "else", after: "" })];
  });
}

function lastOtherwise(node: SyntaxNode): boolean {
  const otherwise = part(node, "otherwise");
  if (!otherwise) return false;
  return otherwise.kind === "if" ? lastOtherwise(otherwise) : true;
}

/** What a condition asks for: names, and of what is part of something the part. */
function subjectsOf(condition: SyntaxNode | undefined): string[] {
  const all = condition ? nodesOf(condition) : [];
  const owners = new Set(all.map((each) => part(each, "object")));
  return all.flatMap((each) =>
    (each.kind === "name" && !owners.has(each)) || each.kind === "field" ? [each.sign ?? ""] : [],
  );
}

/** True for a link that asks for nothing that the decision at the head of its chain asks for: both may hold at once. */
function asksForOther(node: SyntaxNode, around: readonly SyntaxNode[]): boolean {
  const first = around.findLast((each) => each.kind === "if" && each.role !== "otherwise");
  const asked = subjectsOf(part(first ?? node, "condition"));
  return first !== undefined && !subjectsOf(part(node, "condition")).some((each) => asked.includes(each));
}

/** A link of a chain becomes a decision of its own. */
function unlink(context: EditContext): Proposal[] {
  const { blocks } = context.writing;
  return ofKind(context, "if").flatMap(({ node, around }) => {
    if (node.role !== "otherwise") return [];
    const head = wordAt(context, node);
    if (!head) return [];
    const odds = asksForOther(node, around) ? 1.2 : 0.6;
    if (blocks.by === "indentation")
      return head.text === "elif" ? [change(head, "if", { before: "elif", after: "if" }, odds)] : [];
    if (blocks.by === "end word") return endedBefore(context, node, head, around);
    if (blocks.by !== "braces") return [];
    const word = context.code.findLast((token) => token.to <= node.from && token.text === "else");
    return word ? [change({ from: word.from, to: head.to }, head.text, { before: "else if", after: "if" }, odds)] : [];
  });
}

/** The decision before is ended by its word, and another one begins where the link stood. */
function endedBefore(
  context: EditContext,
  node: SyntaxNode,
  head: { from: number; text: string; line: number },
  around: readonly SyntaxNode[],
): Proposal[] {
  const { blocks } = context.writing;
  const condition = part(node, "condition");
  const first = around.findLast((each) => each.kind === "if" && each.role !== "otherwise");
  const word = first && wordAt(context, first);
  const line = context.lines[head.line - 1];
  if (blocks.by !== "end word" || !condition || !word || !line || line.code[0]?.from !== head.from) return [];
  const text = `${blocks.close}${lineEndOf(context)}${line.indent}${word.text} `;
  return [change({ from: head.from, to: condition.from }, text, { before: head.text, after: word.text }, 0.6)];
}

/** An `else` whose block belongs to another decision by its indentation. */
function otherElse(context: EditContext): Proposal[] {
  if (context.writing.blocks.by !== "indentation") return [];
  return context.lines.flatMap((line) => {
    const [first] = line.code;
    if (first?.text !== "else" && first?.text !== "elif") return [];
    const body = context.lines
      .slice(line.number)
      .findIndex((each) => each.code.length > 0 && each.indent.length <= line.indent.length);
    const last = body < 0 ? context.lines.length : line.number + body;
    const end = context.lines[last]?.from ?? context.text.length;
    const levels = new Set(
      context.lines
        .slice(0, line.number)
        .flatMap((each) => (each.code[0] && /^(if|elif|for|while|try)$/.test(each.code[0].text) ? [each.indent] : [])),
    );
    return [...levels]
      .filter((indent) => indent !== line.indent)
      .map((indent) =>
        change(
          { from: line.from, to: end },
          reindent(context.text.slice(line.from, end), line.indent, indent),
          { before: first.text, after: first.text },
          0.7,
        ),
      );
  });
}

/** The last decision of a chain is not asked any more: what is left over is taken. */
function bareElse(context: EditContext): Proposal[] {
  if (context.writing.blocks.by !== "indentation") return [];
  return ofKind(context, "if").flatMap(({ node }) => {
    const condition = part(node, "condition");
    const head = wordAt(context, node);
    if (node.role !== "otherwise" || head?.text !== "elif" || !condition || part(node, "otherwise")) return [];
    return [change({ from: head.from, to: condition.to }, "else", { before: "elif", after: "else" }, 0.3)];
  });
}

/** The one word in the place of two, which open a decision of its own. */
function inOneWord(context: EditContext): Proposal[] {
  const { chained } = context.writing;
  return elseIfsApart(context).map((place) => change(place, chained, { before: "else if", after: chained }, 3));
}

/** Two words in the place of the one. */
function inTwoWords(context: EditContext): Proposal[] {
  const { blocks, chained } = context.writing;
  if (blocks.by !== "end word" || chained !== "elseif") return [];
  return context.code
    .filter((token) => token.text === chained)
    .map((token) => change(token, "else if", { before: chained, after: "else if" }, 0.5));
}

export const chain: EditFamily = {
  id: "chain",
  says: "a decision that is to be asked only where the one before does not hold, or an else of another decision",
  weight: 6,
  reads: "tree",
  mends: (context) => [
    ...link(context),
    ...unlink(context),
    ...otherElse(context),
    ...bareElse(context),
    ...inOneWord(context),
    ...otherwise(context),
  ],
  plants: (context) => [
    ...unlink(context),
    ...link(context),
    ...otherElse(context),
    ...inTwoWords(context),
    ...always(context),
  ],
  examples: [
    {
      language: "c",
      right: "void f(int n) {\n  if (n > 3)\n    low();\n  else\n    tall++;\n}\n",
      faulty: "void f(int n) {\n  if (n > 3)\n    low();\n  tall++;\n}\n",
    },
    {
      language: "octave",
      right: "if age < 6\n  fare = 0;\nelseif age < 16\n  fare = 2;\nend\n",
      faulty: "if age < 6\n  fare = 0;\nelse if age < 16\n  fare = 2;\nend\n",
    },
    {
      language: "python",
      right: "if age < 6:\n    fare = 0\nelif age < 16:\n    fare = 2\n",
      faulty: "if age < 6:\n    fare = 0\nif age < 16:\n    fare = 2\n",
    },
    {
      language: "pseudocode",
      right: "IF age < 6 THEN\n  fare <- 0\nELSE IF age < 16 THEN\n  fare <- 2\nENDIF\n",
      faulty: "IF age < 6 THEN\n  fare <- 0\nENDIF\nIF age < 16 THEN\n  fare <- 2\nENDIF\n",
    },
    {
      language: "java",
      right: "class Main { void f(int a) { if (a < 6) g(0); else if (a < 16) g(2); } }",
      faulty: "class Main { void f(int a) { if (a < 6) g(0); if (a < 16) g(2); } }",
    },
    {
      language: "c",
      right: "void f(int a) { if (a < 6) g(0); else if (a < 16) g(2); }",
      faulty: "void f(int a) { if (a < 6) g(0); if (a < 16) g(2); }",
    },
    {
      language: "csharp",
      right: "class P { void F(int a) { if (a < 6) G(0); else if (a < 16) G(2); } }",
      faulty: "class P { void F(int a) { if (a < 6) G(0); if (a < 16) G(2); } }",
    },
  ],
};
