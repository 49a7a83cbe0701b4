import type { PlacedToken } from "../../syntax/placed.ts";
import { asOne, type Small } from "../asOne.ts";
import { change, type EditContext, type EditFamily, type EditLine, insert, type Proposal } from "../edit.ts";

/** What heads a block in most languages, and the words behind it by which some of them begin the block. */
const heads = /^(?:if|elif|elseif|elsif|else|while|for|foreach)$/i;
const begins = /^(?:then|do)$/i;
/** Other headers of a language that marks its blocks by their indentation. */
const alsoHeads = /^(?:def|class|try|except|finally|with)$/;
/** What a condition may end with. */
const isEnd = (token: PlacedToken | undefined): boolean => token !== undefined && /[\w)\]"']$/.test(token.text);

/** The place of what heads a block on a line; -1 where nothing does. A brace may stand before it. */
const headOn = (line: EditLine): number => {
  const at = line.code.findIndex((token) => token.text !== "}");
  return heads.test(line.code[at]?.text ?? "") ? at : -1;
};

/** Languages whose headers have no word at their end. */
const hasNoWords = ({ writing }: EditContext): boolean => writing.headers === undefined;

/** `then` and `do` behind headers of a language that has no such words there, each with what its place becomes. */
function wordsBehindHeaders(context: EditContext): Array<Small & { word: string }> {
  if (!hasNoWords(context)) return [];
  const { blocks } = context.writing;
  return context.lines.flatMap((line) => {
    const head = headOn(line);
    if (head < 0) return [];
    return line.code.flatMap((token, at) => {
      const before = line.code[at - 1];
      const next = line.code[at + 1];
      const isLast = next === undefined || /^[:{;]$/.test(next.text);
      // A variable of that name stands in the condition.
      if (at <= head + 1 || !before || !isEnd(before) || (!isLast && context.names.includes(token.text))) return [];
      if (!begins.test(token.text)) return [];
      // A loop that asks at its end may be all that a decision decides about.
      const isLoop = /^(?:while|for)/i.test(line.code[head]?.text ?? "");
      if (/^do$/i.test(token.text) && blocks.by === "braces" && !isLoop) return [];
      const sign = blocks.by === "indentation" && next?.text !== ":" ? ":" : "";
      return [{ from: before.to, to: token.to, text: sign, word: token.text }];
    });
  });
}

/** Each such word for itself, and all of them: who writes one writes others. */
function withoutWords(context: EditContext): Proposal[] {
  const words = wordsBehindHeaders(context);
  const parameters = { before: words[0]?.word ?? "", after: words[0]?.text ?? "" };
  return [
    ...words.map((each) => change(each, each.text, { before: each.word, after: each.text }, 4)),
    ...(words.length > 1 ? asOne(context, words, parameters, 5) : []),
  ];
}

const withoutBreak = (line: EditLine, context: EditContext): Small => ({
  from: line.from,
  to: context.text[line.to] === "\n" ? line.to + 1 : line.to,
  text: "",
});

/** Braces around blocks of a language that marks them by their indentation, or by a word at their end: the places of each pair. */
function bracesAroundBlocks(context: EditContext): Small[][] {
  const { blocks } = context.writing;
  if (!hasNoWords(context) || (blocks.by !== "indentation" && blocks.by !== "end word")) return [];
  const sign = blocks.by === "indentation" ? ":" : "";
  return context.lines.flatMap((line, at) => {
    const code = line.code.filter((token, place) => place > 0 || token.text !== "}");
    const [opening, before] = [code.at(-1), code.at(-2)];
    const first = code[0]?.text ?? "";
    if (opening?.text !== "{" || !before || !(heads.test(first) || alsoHeads.test(first))) return [];
    if (before.text !== ":" && !isEnd(before)) return [];
    const opened = { from: before.to, to: opening.to, text: before.text === ":" ? "" : sign };
    const closing = context.lines
      .slice(at + 1)
      .find((each) => each.code[0]?.text === "}" && each.indent.length <= line.indent.length);
    const [brace, next] = closing?.code ?? [];
    if (!closing || !brace) return [[opened]];
    // `} else {`: what stands behind the brace stays.
    const word = blocks.by === "end word" ? { from: brace.from, to: brace.to, text: blocks.close } : null;
    const closed = next ? { from: brace.from, to: next.from, text: "" } : (word ?? withoutBreak(closing, context));
    return [[opened, closed]];
  });
}

/** The braces of each block for itself, and of all blocks: who writes one pair writes others. */
function withoutBraces(context: EditContext): Proposal[] {
  const pairs = bracesAroundBlocks(context);
  const parameters = { before: "{", after: ":" };
  return [
    ...pairs.flatMap((pair) => asOne(context, pair, parameters, pair.length > 1 ? 3 : 1.5)),
    ...(pairs.length > 1 ? asOne(context, pairs.flat(), parameters, 4) : []),
  ];
}

function mends(context: EditContext): Proposal[] {
  return [...withoutWords(context), ...withoutBraces(context)];
}

/** The lines of the block below a header. */
function blockBelow(context: EditContext, line: EditLine): EditLine | undefined {
  const below = context.lines.slice(line.number).filter((each) => each.code.length > 0);
  const end = below.findIndex((each) => each.indent.length <= line.indent.length);
  return (end < 0 ? below : below.slice(0, end)).at(-1);
}

function plants(context: EditContext): Proposal[] {
  if (!hasNoWords(context)) return [];
  const byIndentation = context.writing.blocks.by === "indentation";
  return context.lines.flatMap((line) => {
    const at = headOn(line);
    const head = line.code[at]?.text ?? "";
    const last = line.code.at(-1);
    if (at < 0 || !last || /^else$/i.test(head)) return [];
    const word = /^(?:while|for)/i.test(head) ? "do" : "then";
    const end = /^[:{]$/.test(last.text) ? line.code.at(-2) : last;
    if (!end || end === line.code[at]) return [];
    const parameters = { before: "", after: word };
    if (!byIndentation) return [insert(end.to, ` ${word}`, parameters)];
    if (last.text !== ":") return [];
    const block = blockBelow(context, line);
    const inside = block ? context.text.slice(last.to, block.to) : "";
    return [
      change(last, ` ${word}`, parameters),
      insert(end.to, ` ${word}`, parameters),
      ...(block
        ? [change({ from: last.from, to: block.to }, ` {${inside}\n${line.indent}}`, { before: ":", after: "{" })]
        : []),
    ];
  });
}

export const otherBlocks: EditFamily = {
  id: "other-blocks",
  says: "a word or a brace by which another language marks its blocks",
  weight: 9,
  reads: "both",
  mends,
  plants,
  examples: [
    { language: "python", right: "if load > 3:\n    load = 3\n", faulty: "if load > 3 then\n    load = 3\n" },
    { language: "python", right: "if load > 3:\n    load = 3\n", faulty: "if load > 3 then:\n    load = 3\n" },
    {
      language: "python",
      right: "while load > 3:\n    load = load - 1\nprint(load)\n",
      faulty: "while load > 3 {\n    load = load - 1\n}\nprint(load)\n",
    },
    {
      language: "java",
      right: "class A { void f(int a) {\n  while (a > 3) {\n    a--;\n  }\n} }",
      faulty: "class A { void f(int a) {\n  while (a > 3) do {\n    a--;\n  }\n} }",
    },
    {
      language: "c",
      right: "void f(int a) {\n  if (a > 3)\n    a--;\n}",
      faulty: "void f(int a) {\n  if (a > 3) then\n    a--;\n}",
    },
    {
      language: "csharp",
      right: "class A { void F(int a) {\n  if (a > 3) {\n    a--;\n  }\n} }",
      faulty: "class A { void F(int a) {\n  if (a > 3) then {\n    a--;\n  }\n} }",
    },
    {
      language: "octave",
      right: "if load > 3\n  load = 3;\nend\n",
      faulty: "if load > 3 then\n  load = 3;\nend\n",
    },
  ],
};
