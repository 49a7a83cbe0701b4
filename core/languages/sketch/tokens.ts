import { javaKeywords, javaLexical, javaTypeWords } from "../java/tokens.ts";
import { createTokenizer } from "../lexical.ts";
import type { Token } from "../token.ts";

/** Words that begin a declaration: Java's, and `color`. */
export const sketchTypeWords: ReadonlySet<string> = new Set([...javaTypeWords, "color"]);

/** Words of types that make another kind of value where a bracket follows: `int(x)`. */
export const sketchConversions: ReadonlySet<string> = new Set(["int", "float", "boolean", "char", "byte"]);

const read = createTokenizer({
  ...javaLexical,
  keywords: javaKeywords,
  number: new RegExp(`#[\\da-fA-F]{8}(?![\\w])|#[\\da-fA-F]{6}(?![\\w])|${javaLexical.number.source}`, "y"),
});

/** Java's pieces; a colour is written as a number (#1e90ff), and what converts is the name of a function. */
export function sketchTokens(text: string): Token[] {
  const tokens = read(text);
  for (const [at, token] of tokens.entries()) {
    if (
      token.kind === "keyword" &&
      sketchConversions.has(token.text) &&
      tokens[at + 1]?.text === "(" &&
      tokens[at - 1]?.text !== "new"
    )
      tokens[at] = { ...token, kind: "name" };
  }
  return tokens;
}
