import type { Language } from "../languages/language.ts";
import { readExpression, readerOf } from "../syntax/expressions.ts";
import { placed } from "../syntax/placed.ts";
import { isShallow } from "../syntax/shallow.ts";
import type { SyntaxNode } from "../syntax/tree.ts";

/** Trees of the last texts: a decision is asked again with every pass of its loop. */
const most = 64;
const kept = new Map<string, SyntaxNode | null>();

/**
 * An expression as a tree by the language's own order of operators, with offsets in `text`; null where it is none as a whole
 * (something is left over, or nothing begins). What the published grammars group otherwise is grouped right here.
 */
export function expressionTree(language: Language, text: string): SyntaxNode | null {
  const { values } = language;
  if (!values) return null;
  const key = `${language.id} ${text}`;
  const known = kept.get(key);
  if (known !== undefined) return known;
  const tokens = placed(text, language.tokens(text)).filter((token) => token.kind !== "comment");
  const reader = readerOf(tokens, values.reads, 1);
  const tree = readExpression(reader);
  const found = tree && isShallow(tree) && reader.at >= tokens.length && isWhole(tree) ? tree : null;
  if (kept.size >= most) kept.delete(kept.keys().next().value ?? "");
  kept.set(key, found);
  return found;
}

/** How many sides an operation has. */
const sides: Partial<Record<SyntaxNode["kind"], number>> = { binary: 2, unary: 1, choice: 3, cast: 2, group: 1 };

const isWhole = (node: SyntaxNode): boolean =>
  node.children.length >= (sides[node.kind] ?? 0) && node.kind !== "error" && node.children.every(isWhole);
