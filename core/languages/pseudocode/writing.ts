import { quoted } from "../../interpreters/pseudocode/print.ts";
import { takesByName } from "../takes.ts";
import type { Token } from "../token.ts";
import { libraryOf, type Writing } from "../writing.ts";
import { pseudocodeElsewhere, pseudocodeLinesElsewhere } from "./elsewhere.ts";
import { assigningSigns, isWord, pseudocodeTokens, wordOf } from "./tokens.ts";

/** The sign or word of some that a program writes most often; the first of them where it has none. */
function mostOften(tokens: readonly Token[], first: string, belongs: (token: Token) => boolean): string {
  const found = new Map<string, number>();
  for (const token of tokens) if (belongs(token)) found.set(token.text, (found.get(token.text) ?? 0) + 1);
  return [...found].sort((one, other) => other[1] - one[1])[0]?.[0] ?? first;
}

const unequalSigns = new Set(["≠", "<>", "!="]);
const library = libraryOf(
  {
    ...{ reads: "input read get userinput readfile", readsText: "", prints: "output print display write" },
    ...{ leaves: "stop", gives: "upper ucase lower lcase left right mid round int abs floor ceiling", changes: "" },
  },
  false,
);

/** What small edits put into a program, in the spelling that it is written in itself. */
export function pseudocodeWriting(text: string): Writing {
  const tokens = pseudocodeTokens(text);
  const keywords = tokens.filter((token) => token.kind === "keyword");
  const small = keywords.length > 0 && keywords.every(({ text: word }) => word === word.toLowerCase());
  const letters = (word: string) => (small ? word.toLowerCase() : word);
  const setTo = keywords.some((token) => isWord(token, "set"));
  const sign = mostOften(tokens, "", (token) => assigningSigns.has(token.text));
  // Where nothing but `=` gives a value, it is what is put in.
  const begun = tokens.some(
    (token, at) => token.text === "=" && tokens[at - 1]?.kind === "name" && at === lineBegin(tokens, at) + 1,
  );
  const assign = setTo ? letters("TO") : sign !== "" ? sign : begun ? "=" : "<-";
  const unequal = mostOften(tokens, assign === "←" ? "≠" : "<>", (token) => unequalSigns.has(token.text));
  const drawn = assign === "←" || tokens.some((token) => /^[≤≥≠]$/.test(token.text));
  const output = mostOften(keywords, "OUTPUT", (token) => isWord(token, "output"));
  const give = (name: string, value: string) =>
    setTo ? `${letters("SET")} ${name} ${letters("TO")} ${value}` : `${name} ${assign} ${value}`;
  const close = (head: string, name: string): string => {
    const apart = keywords.some((token, at) => isWord(token, "end") && keywords[at + 1]?.line === token.line);
    const end = (word: string) => letters(apart ? `END ${word}` : `END${word}`);
    if (head === "repeat" || head === "do") return letters("UNTIL");
    if (head !== "for") return end(head.toUpperCase());
    const closesFor = keywords.find((token) => isWord(token, "next", "endfor"));
    return isWord(closesFor, "endfor") || (apart && closesFor === undefined)
      ? end("FOR")
      : `${letters("NEXT")}${name === "" ? "" : ` ${name}`}`;
  };
  return {
    ...{ and: letters("AND"), or: letters("OR"), not: `${letters("NOT")} `, equal: "=", unequal, assign },
    orders: !drawn ? {} : { "<=": "≤", ">=": "≥" },
    blocks: {
      by: "end word",
      close: letters("ENDIF"),
      closeOf: (line) => close(wordOf(line[0]) ?? "if", line.find((token) => token.kind === "name")?.text ?? ""),
    },
    variables: "by assignment",
    handsMore: /\bBYREF\b/i,
    ...{ quote: '"', quoteInside: "'", members: ["."], compound: false, chained: letters("ELSE IF") },
    firstElement: (list) => `${list}[1]`,
    beginnings: ['""', letters("FALSE")],
    statementEnd: "",
    divides: { decimal: "/", whole: letters("DIV"), rest: letters("MOD") },
    otherOperators: [["+", "&"]],
    step: (name, way) => give(name, `${name} ${way} 1`),
    stepWord: letters("STEP"),
    headers: { if: letters("THEN"), elseif: letters("THEN"), case: letters("OF") },
    conversions: [
      { name: "TO_NUMBER", before: "TO_NUMBER(", after: ")" },
      { name: "TO_WHOLE", before: "TO_WHOLE(", after: ")" },
      { name: "TO_TEXT", before: "TO_TEXT(", after: ")" },
      { name: "LENGTH", before: "LENGTH(", after: ")" },
      { name: "INT", before: "INT(", after: ")" },
      { name: "ROUND", before: "ROUND(", after: ")" },
      { name: "ABS", before: "ABS(", after: ")" },
    ],
    guarded: (condition, body, indent, lineEnd) =>
      `${indent}${letters("IF")} ${condition} ${letters("THEN")}${lineEnd}${body}${indent}${close("if", "")}${lineEnd}`,
    lengthOf: (list) => `LENGTH(${list})`,
    returns: (value) => `${letters("RETURN")} ${value}`,
    linesElsewhere: pseudocodeLinesElsewhere({ letters, give, output, assign }),
    elsewhere: pseudocodeElsewhere(letters),
    types: [["INTEGER", "REAL", "STRING", "BOOLEAN"].map(letters), ["STRING", "CHAR"].map(letters)],
    inclusions: [],
    takes: takesByName({}),
    narrowing: {
      ...{ comment: "//", nothing: "", ends: "", between: () => "; ", wrap: null },
      print: (label, expression) => `${output} "${label}", ${expression}`,
    },
    onlyPrints: (lines) => lines.map((line) => `${output} ${quoted(line)}\n`).join(""),
    printers: [],
    library,
  };
}

/** Where the line of a token begins, as an index. */
function lineBegin(tokens: readonly Token[], at: number): number {
  let begin = at;
  while (tokens[begin - 1]?.line === tokens[at]?.line && begin > 0) begin -= 1;
  return begin;
}
