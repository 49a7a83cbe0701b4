import type { Language } from "../languages/language.ts";
import { type Reader, readExpression } from "../syntax/expressions.ts";
import { placed } from "../syntax/placed.ts";
import type { SyntaxNode } from "../syntax/tree.ts";

/**
 * An expression as a tree by the language's own order of operators, with offsets in `text`; null where it is none as a whole
 * (something is left over, or nothing begins). What the published grammars group otherwise is grouped right here.
 */
export function expressionTree(language: Language, text: string): SyntaxNode | null {
  const { values } = language;
  if (!values) return null;
  const tokens = placed(text, language.tokens(text)).filter((token) => token.kind !== "comment");
  const reader: Reader = { tokens, at: 0, rules: values.reads, depth: 1 };
  const tree = readExpression(reader);
  return tree && reader.at >= tokens.length && isWhole(tree) ? tree : null;
}

/** How many sides an operation has. */
const sides: Partial<Record<SyntaxNode["kind"], number>> = { binary: 2, unary: 1, choice: 3, cast: 2, group: 1 };

const isWhole = (node: SyntaxNode): boolean =>
  node.children.length >= (sides[node.kind] ?? 0) && node.kind !== "error" && node.children.every(isWhole);
