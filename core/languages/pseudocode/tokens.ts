import { endOf, findWord, spellings, type Word } from "../../interpreters/pseudocode/words.ts";
import { createTokenizer } from "../lexical.ts";
import type { Token } from "../token.ts";

/** Every spelling of every word, in small letters. */
export const pseudocodeKeywords: ReadonlySet<string> = new Set(
  Object.values(spellings)
    .flat()
    .map((spelling) => spelling.toLowerCase()),
);

export const pseudocodeTokens = createTokenizer({
  keywords: pseudocodeKeywords,
  anyCase: true,
  name: /[\p{L}_][\p{L}\p{Nd}_]*/uy,
  number: /\d+(?:\.\d+)?/y,
  operator: /<-|&&|\|\||\*\*|[-+*/]=|:=|<>|<=|>=|=<|=>|!=|==|[-+*/^=<>≤≥≠←⟵×÷−–,.:;&]/y,
  lineComment: /\/\/|#/y,
  blockComments: [],
  texts: [
    { open: /"/y, close: '"', escape: null },
    { open: /'/y, close: "'", escape: null },
    { open: /“/y, close: "”", escape: null },
    { open: /‘/y, close: "’", escape: null },
  ],
});

/** Signs that give a value and nothing else. */
export const assigningSigns: ReadonlySet<string> = new Set(["<-", "←", "⟵", ":="]);

/** The word of the language that a token is, in whatever spelling. */
export const wordOf = (token: Token | undefined): Word | undefined =>
  token === undefined || token.kind !== "keyword" ? undefined : findWord(token.text);

/** True if a token is one of these words. */
export const isWord = (token: Token | undefined, ...words: Word[]): boolean => {
  const word = wordOf(token);
  return word !== undefined && words.includes(word);
};

/** The word that two tokens are together (`END IF`, `ELSE IF`), where they are one. */
export function wordTogether(token: Token | undefined, next: Token | undefined): Word | undefined {
  const [first, second] = [wordOf(token), wordOf(next)];
  if (second === undefined || token?.line !== next?.line) return undefined;
  if (first === "end") return endOf(second);
  return first === "else" && second === "if" ? "elseif" : undefined;
}
