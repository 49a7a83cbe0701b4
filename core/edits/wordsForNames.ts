import { asOne } from "./asOne.ts";
import type { EditContext, Proposal } from "./edit.ts";

/** Words that stand before a name which is made there. */
const makes = /^(?:int|long|double|float|char|bool|boolean|string|String|var|def|for|foreach|function|procedure)$/;

/**
 * Words of the language that are given a value, or made, as names are (`class = 4`): another name for each of them, wherever
 * it does not stand before a name.
 */
export function wordsForNames(context: EditContext): Proposal[] {
  const { code, language } = context;
  const { assign } = context.writing;
  const found = new Set<string>();
  for (const [at, token] of code.entries()) {
    const [before, next] = [code[at - 1], code[at + 1]];
    if (token.kind !== "keyword" || !language.keywords?.has(token.text) || !next || next.line !== token.line) continue;
    const isFirst = before === undefined || before.line !== token.line;
    const isMade = before !== undefined && before.line === token.line && makes.test(before.text);
    if ((isFirst || isMade) && (next.text === assign || (isMade && /^[;,)(]$|^in$|^:$/.test(next.text))))
      found.add(token.text);
  }
  return [...found].flatMap((word) => {
    const small = code.flatMap((token, at) => {
      const next = code[at + 1];
      // `class Deck:` and `for car in ...` are what the word is for.
      const isItself = next?.kind === "name" && next.line === token.line;
      return token.text !== word || token.kind !== "keyword" || isItself
        ? []
        : [{ from: token.from, to: token.to, text: `${word}_` }];
    });
    return asOne(context, small, { before: word, after: `${word}_` }, 3);
  });
}
