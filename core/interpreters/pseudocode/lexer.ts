import { endOf, findWord, type Word } from "./words.ts";

/** A piece of a program; `column` counts characters from 1. A line's end and the program's end are pieces, too. */
export type Lexeme = { line: number; column: number; text: string } & (
  | { kind: "word"; word: Word }
  | { kind: "name" | "line" | "end" }
  | { kind: "sign"; written: string }
  | { kind: "number"; whole: boolean }
  | { kind: "text"; value: string }
);

/** What is wrong with a program before it runs: where, what, in words for a learner, and by which name it is known. */
export type Problem = { line: number; column: number; name: string; says: string };

/** Several signs for one thing, by the sign that stands for all of them. */
const signs: ReadonlyArray<readonly [written: string, sign: string]> = [
  ...([
    ["<-", "←"],
    [":=", "←"],
    ["←", "←"],
    ["⟵", "←"],
  ] as const),
  ...([
    ["<>", "≠"],
    ["!=", "≠"],
    ["≠", "≠"],
    ["=<", "≤"],
    ["<=", "≤"],
    ["≤", "≤"],
    ["=>", "≥"],
    [">=", "≥"],
    ["≥", "≥"],
  ] as const),
  ...([
    ["==", "="],
    ["=", "="],
    ["<", "<"],
    [">", ">"],
  ] as const),
  ...([
    ["+", "+"],
    ["-", "-"],
    ["−", "-"],
    ["–", "-"],
    ["*", "*"],
    ["×", "*"],
    ["/", "/"],
    ["÷", "/"],
    ["^", "^"],
    ["&", "&"],
  ] as const),
  ...([
    ["(", "("],
    [")", ")"],
    ["[", "["],
    ["]", "]"],
    [",", ","],
    [":", ":"],
    [".", "."],
    [";", ";"],
  ] as const),
];

/** Signs of other languages, with what is written here in their place; that is what is read. */
const foreign: ReadonlyArray<readonly [written: string, here: Pick<Lexeme, "text"> & { word?: Word }]> = [
  ["&&", { text: "AND", word: "and" }],
  ["||", { text: "OR", word: "or" }],
  ["%", { text: "MOD", word: "mod" }],
  ["**", { text: "^" }],
];

const quotes: Readonly<Record<string, string>> = { '"': '"', "'": "'", "“": "”", "‘": "’" };

const name = /[\p{L}_][\p{L}\p{Nd}_]*/uy;
const number = /\d+(?:\.\d+)?/y;

/** Takes a program apart. What cannot be read is said and left out, so that the rest is read all the same. */
export function lexemesOf(program: string): { lexemes: Lexeme[]; problems: Problem[] } {
  const lexemes: Lexeme[] = [];
  const problems: Problem[] = [];
  const lines = program.split(/\r\n|\n|\r/);
  for (const [index, text] of lines.entries()) {
    const line = index + 1;
    let at = 0;
    const add = (lexeme: Lexeme) => {
      // `END IF` is one word.
      const last = lexemes.at(-1);
      if (lexeme.kind === "word" && last?.kind === "word" && last.line === line) {
        const together =
          last.word === "end"
            ? endOf(lexeme.word)
            : last.word === "else" && lexeme.word === "if"
              ? "elseif"
              : undefined;
        if (together) {
          lexemes[lexemes.length - 1] = { ...last, word: together, text: `${last.text} ${lexeme.text}` };
          return;
        }
      }
      lexemes.push(lexeme);
    };
    while (at < text.length) {
      const sign = text.charAt(at);
      const place = { line, column: at + 1 };
      if (/\s/.test(sign)) {
        at += 1;
        continue;
      }
      if (text.startsWith("//", at) || sign === "#") break;
      name.lastIndex = at;
      number.lastIndex = at;
      const [word] = name.exec(text) ?? [];
      if (word !== undefined) {
        const known = findWord(word);
        // A field may be called as a word is.
        const isField = lexemes.at(-1)?.text === "." && lexemes.at(-1)?.line === line;
        add(
          known && !isField
            ? { ...place, kind: "word", word: known, text: word }
            : { ...place, kind: "name", text: word },
        );
        at += word.length;
        continue;
      }
      const [digits] = number.exec(text) ?? [];
      if (digits !== undefined) {
        add({ ...place, kind: "number", whole: !digits.includes("."), text: digits });
        at += digits.length;
        if (/[\p{L}_]/u.test(text.charAt(at)))
          problems.push({
            ...place,
            name: "name begins with a digit",
            says: `A name cannot begin with a digit: ${digits}${text.slice(at).match(/^[\p{L}\p{Nd}_]+/u)?.[0] ?? ""}.`,
          });
        continue;
      }
      const close = quotes[sign];
      if (close !== undefined) {
        const end = text.indexOf(close, at + 1);
        if (end < 0) {
          problems.push({
            ...place,
            name: "text not closed",
            says: `The text that begins here has no closing ${close} on this line.`,
          });
          add({ ...place, kind: "text", value: text.slice(at + 1), text: text.slice(at) });
          at = text.length;
          continue;
        }
        add({ ...place, kind: "text", value: text.slice(at + 1, end), text: text.slice(at, end + 1) });
        at = end + 1;
        continue;
      }
      const other = foreign.find(([written]) => text.startsWith(written, at));
      if (other) {
        const [written, { text: here, word: known }] = other;
        problems.push({
          ...place,
          name: "sign of elsewhere",
          says: `${written} is another language's sign: write ${here} here.`,
        });
        add(
          known ? { ...place, kind: "word", word: known, text: here } : { ...place, kind: "sign", text: here, written },
        );
        at += written.length;
        continue;
      }
      const step = /^([-+*/])=|^(\+\+|--)\s*$/.exec(text.slice(at));
      if (step) {
        const last = lexemes.at(-1);
        const named = last?.kind === "name" ? last.text : "total";
        const way = step[1] ?? step[2]?.charAt(0) ?? "+";
        const says = `${step[0].trim()} is another language's sign: write ${named} ← ${named} ${way} ${step[1] ? "…" : "1"} here.`;
        problems.push({ ...place, name: "sign of elsewhere", says });
        add({ ...place, kind: "sign", text: "←", written: step[0] });
        if (!step[1]) add({ ...place, kind: "number", whole: true, text: "1" });
        at += step[0].length;
        continue;
      }
      const found = signs.find(([written]) => text.startsWith(written, at));
      if (found) {
        add({ ...place, kind: "sign", text: found[1], written: found[0] });
        at += found[0].length;
        continue;
      }
      problems.push({ ...place, name: "sign not known", says: `The sign ${sign} means nothing here.` });
      at += 1;
    }
    lexemes.push({ kind: "line", line, column: text.length + 1, text: "\n" });
  }
  lexemes.push({ kind: "end", line: Math.max(1, lines.length), column: 1, text: "" });
  return { lexemes, problems };
}
