import { ownOf } from "../../source/ownOf.ts";
import { distance } from "../../source/spelling.ts";
import { change, type EditContext, type EditFamily, type EditLine, insert, type Proposal } from "../edit.ts";

/** Words of other languages for what this one calls otherwise. */
const foreign: ReadonlyArray<readonly [string, string]> = [
  ["else if", "elif"],
  ["elseif", "elif"],
  ["elsif", "elif"],
  ["elif", "else if"],
  ["elseif", "else if"],
  ["elsif", "else if"],
  ["else if", "elseif"],
  ["elif", "elseif"],
  ["&&", "and"],
  ["||", "or"],
  ["!", "not "],
  ["and", "&&"],
  ["or", "||"],
  ["not", "!"],
  ["true", "True"],
  ["false", "False"],
  ["True", "true"],
  ["False", "false"],
  ["null", "None"],
  ["function", "def"],
  ["define", "def"],
  ["func", "def"],
  ["fun", "def"],
  ["procedure", "def"],
  ["foreach", "for"],
  ["switch", "case"],
  ["endif", "end"],
  ["int", "integer"],
  ["Int", "int"],
  ["integer", "int"],
  ["Integer", "int"],
  ["float", "real"],
  ["double", "real"],
  ["real", "double"],
  ["str", "string"],
  ["str", "String"],
  ["bool", "Boolean"],
  ["string", "String"],
  ["String", "string"],
  ["boolean", "bool"],
  ["bool", "boolean"],
];

function belongs(context: EditContext, word: string): boolean {
  const { keywords, writing } = context.language;
  const [first] = word.trim().split(" ");
  return (
    keywords?.has(first ?? "") === true ||
    context.language.ownWords.has(first ?? "") ||
    [writing?.and, writing?.or, writing?.not.trim()].includes(word.trim())
  );
}

/** One or two tokens that spell a word of another language. */
function foreignWords(context: EditContext): Proposal[] {
  const { code } = context;
  return code.flatMap((token, at) => {
    const next = code[at + 1];
    return foreign.flatMap(([other, word]) => {
      const two = other.includes(" ");
      const spelt = two ? `${token.text} ${next?.text}` : token.text;
      if (spelt !== other || (two && next?.line !== token.line)) return [];
      const { and, or, not } = context.writing;
      const own = [and, or, not].find((each) => each.toLowerCase() === word) ?? word;
      if (!belongs(context, own) || (own === "elseif" && context.writing.blocks.by === "braces")) return [];
      if (!two && belongs(context, other)) return [];
      return [
        change(
          { from: token.from, to: two ? (next?.to ?? token.to) : token.to },
          own,
          { before: other, after: own },
          1.5,
        ),
      ];
    });
  });
}

/** Names that are nearly a word of the language. */
function misspelt(context: EditContext): Proposal[] {
  const keywords = [...(context.language.keywords ?? [])];
  const inCapitals = (text: string) => !context.language.profile.caseSensitive && text === text.toUpperCase();
  return context.code.flatMap((token) => {
    if (token.kind !== "name" || token.text.length < 2) return [];
    if (context.names.includes(token.text) && token.text.length < 5) return [];
    return keywords.flatMap((written) => {
      const keyword = inCapitals(token.text) ? written.toUpperCase() : written;
      if (keyword === token.text) return [];
      // Letters that are too many or too few are at least so many slips.
      if (Math.abs(keyword.length - token.text.length) > 2) return [];
      const folded = keyword.toLowerCase() === token.text.toLowerCase();
      const far = folded ? 0 : distance(keyword.toLowerCase(), token.text.toLowerCase());
      if (far > (keyword.length > 4 ? 2 : 1) || keyword.length < 2) return [];
      return [change(token, keyword, { before: token.text, after: keyword }, folded ? 1.5 : far === 1 ? 1.2 : 0.5)];
    });
  });
}

/** Words behind a condition, or at a line's beginning, that are left out. */
function leftOut(context: EditContext): Proposal[] {
  const { blocks } = context.writing;
  const found: Proposal[] = [];
  for (const line of context.lines) {
    const [first, second] = line.code;
    const last = line.code.at(-1);
    if (!first || !last) continue;
    if (blocks.by === "indentation") {
      if (first.kind === "name" && second?.text === "(" && last.text === ":")
        found.push(insert(first.from, "def ", { word: "def" }, 1.2));
      if (first.text === "for" && second?.kind === "name" && line.code[2]?.text !== "in" && line.code[2]?.text !== ",")
        found.push(insert(second.to, " in", { word: "in" }, 1.2));
      if (first.text === "else" && last.text === ":" && line.code.length > 2)
        found.push(
          change(first, "elif", { word: "elif" }, 1.3),
          change({ from: first.to, to: last.from }, "", { word: "else" }, 0.5),
        );
      if (first.text === "elif" && line.code.length === 2) found.push(change(first, "else", { word: "else" }, 1.3));
    }
    found.push(...blockWords(line, context));
  }
  return found;
}

const same = (one: string, other: string): boolean => one.toLowerCase() === other.toLowerCase();

/** `then`, `do`, `of` behind what heads a block; `begin` at its start. */
function blockWords(line: EditLine, context: EditContext): Proposal[] {
  const found: Proposal[] = [];
  const { headers = {}, blocks } = context.writing;
  for (const token of line.code) {
    const word = token.kind === "text" ? undefined : ownOf(headers, token.text.toLowerCase());
    if (!word || line.code.some((each) => same(each.text, word) && each.from > token.from)) continue;
    const last = line.code.at(-1);
    const begin = line.code.find((each) => each.text.toLowerCase() === "begin");
    if (last)
      found.push(begin ? insert(begin.from, `${word} `, { word }, 1.2) : insert(last.to, ` ${word}`, { word }, 1.5));
    for (const each of line.code)
      if (each.from > token.to && each !== last) found.push(insert(each.to, ` ${word}`, { word }, 0.3));
    const other = line.code.find((each) => /^(then|do|of)$/i.test(each.text));
    if (other) found.push(change(other, word, { word }, 1.5));
  }
  const last = line.code.at(-1);
  if (last && blocks.by === "two words" && /^(then|do|else)$/i.test(last.text)) {
    const next = context.lines.slice(line.number).find((each) => each.code.length > 0);
    if (next && next.code[0]?.text.toLowerCase() !== "begin")
      found.push(insert(last.to, " begin", { word: "begin" }, 0.6));
  }
  return found;
}

function mends(context: EditContext): Proposal[] {
  return [...foreignWords(context), ...misspelt(context), ...leftOut(context)];
}

/** Two letters of a keyword change places, or its first letter its case. */
function plants(context: EditContext): Proposal[] {
  return context.code.flatMap((token) => {
    if (token.kind !== "keyword") return [];
    const { text } = token;
    const swappedText = text.length > 2 ? text.slice(0, -2) + (text.at(-1) ?? "") + (text.at(-2) ?? "") : text;
    const cased =
      text[0] === text[0]?.toLowerCase() ? (text[0]?.toUpperCase() ?? "") + text.slice(1) : text.toLowerCase();
    const found: Proposal[] = [];
    if (swappedText !== text) found.push(change(token, swappedText, { before: text, after: swappedText }));
    if (context.language.profile.caseSensitive) found.push(change(token, cased, { before: text, after: cased }));
    if (text === "elif") found.push(change(token, "else if", { before: text, after: "else if" }));
    if (Object.values(context.writing.headers ?? {}).some((header) => same(header, text)) && !/^of$/i.test(text))
      found.push(change({ from: token.from - 1, to: token.to }, "", { before: text, after: "" }));
    return found;
  });
}

export const word: EditFamily = {
  id: "word",
  says: "a word of the language that is misspelt, left out, or another language's",
  weight: 10,
  reads: "text",
  mends,
  plants,
  examples: [
    { language: "python", right: "while load > 3:\n    pass\n", faulty: "whiel load > 3:\n    pass\n" },
    {
      language: "python",
      right: "if a:\n    b()\nelif c:\n    d()\n",
      faulty: "if a:\n    b()\nelse if c:\n    d()\n",
    },
    { language: "java", right: "class Main { void f() { return; } }", faulty: "class Main { void f() { retunr; } }" },
    { language: "c", right: "void f(int a) { while (a) g(); }", faulty: "void f(int a) { While (a) g(); }" },
    { language: "csharp", right: "class P { void F() { return; } }", faulty: "class P { void F() { Return; } }" },
    { language: "pascal", right: "begin\n  if a then\n    b := 1;\nend.", faulty: "begin\n  if a\n    b := 1;\nend." },
    {
      language: "pseudocode",
      right: "IF a = 1 THEN\n  OUTPUT a\nENDIF\n",
      faulty: "IF a = 1\n  OUTPUT a\nENDIF\n",
    },
    { language: "pseudocode", right: "OUTPUT 1\n", faulty: "OUTPTU 1\n" },
    { language: "octave", right: "while a\n  b();\nend\n", faulty: "whiel a\n  b();\nend\n" },
  ],
};
