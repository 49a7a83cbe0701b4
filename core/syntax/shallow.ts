import type { Token } from "../languages/token.ts";
import type { SyntaxNode, SyntaxReader } from "./tree.ts";

/**
 * How many brackets, statements and expressions may lie in one another where a program is read: more than anybody writes, and
 * fewer than the stack holds.
 */
export const deepest = 200;

/**
 * How many pieces may lie in one another. Trees are walked by functions that call themselves, and a line of some thousand
 * brackets or `+` signs, which nobody writes but somebody may hand in, is not to use up the stack of any of them.
 */
export const highest = 1000;

/** True if no more than `highest` pieces of a tree lie in one another. */
export function isShallow(tree: SyntaxNode): boolean {
  let row: readonly SyntaxNode[] = [tree];
  for (let height = 0; row.length > 0; height++) {
    if (height >= highest) return false;
    row = row.flatMap((node) => node.children);
  }
  return true;
}

/** A program as it was read; one of which nothing could be read, if its pieces lie in one another too deeply. */
export function shallow(program: SyntaxNode): SyntaxNode {
  return isShallow(program) ? program : { ...program, children: [] };
}

/**
 * A reader that reads nothing of a text whose brackets lie in one another too deeply: one of the published grammars takes as
 * long as the square of their number, or longer, for them.
 */
export function unlessDeep(read: SyntaxReader, tokens: (text: string) => readonly Token[]): SyntaxReader {
  return (text) => {
    let depth = 0;
    for (const { kind, text: sign } of tokens(text)) {
      if (kind === "text" || kind === "comment") continue;
      if (sign === "(" || sign === "[" || sign === "{") depth += 1;
      else if (sign === ")" || sign === "]" || sign === "}") depth = Math.max(0, depth - 1);
      if (depth > deepest) return { kind: "program", from: 0, to: text.length, children: [] };
    }
    return read(text);
  };
}
