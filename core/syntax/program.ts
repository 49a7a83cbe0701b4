import type { Token } from "../languages/token.ts";
import { type ExpressionRules, peek, type Reader, readerOf, take } from "./expressions.ts";
import { placed } from "./placed.ts";
import { shallow } from "./shallow.ts";
import type { SyntaxNode, SyntaxReader } from "./tree.ts";

/**
 * The reader of whole programs, statement after statement. What begins no statement is an error of one token, but for those in `parts`,
 * which only stand between statements.
 */
export function programReader(
  tokens: (text: string) => readonly Token[],
  rules: ExpressionRules,
  readStatement: (reader: Reader) => SyntaxNode | null,
  parts: readonly string[] = [],
): SyntaxReader {
  return (text) => {
    const code = placed(
      text,
      tokens(text).filter((token) => token.kind !== "comment"),
    );
    const reader = readerOf(code, rules);
    const children: SyntaxNode[] = [];
    while (peek(reader)) {
      const before = reader.at;
      const found = readStatement(reader);
      if (found) children.push(found);
      if (reader.at > before) continue;
      const stray = take(reader);
      if (stray && !parts.includes(stray.text))
        children.push({ kind: "error", from: stray.from, to: stray.to, sign: stray.text, children: [] });
    }
    return shallow({ kind: "program", from: 0, to: text.length, children });
  };
}
