import type { Language } from "../languages/language.ts";
import { lineAt, lineStarts, type PlacedToken, placed, tokensWithin } from "../syntax/placed.ts";
import { part, type SyntaxNode, walk } from "../syntax/tree.ts";

/** What an expression of a line is for. `asked` is a condition; `given` what a call is given, `back` what a function gives back. */
export type ExpressionUse = "asked" | "assigned" | "back" | "given";

/** An expression that stands on a line (offsets of the whole text). `loop`: its condition is asked after the line's other work. */
export type PlacedExpression = {
  use: ExpressionUse;
  from: number;
  to: number;
  text: string;
  loop?: "for" | "while" | "do";
};

const opening = new Set(["(", "[", "{"]);
const closing = new Set([")", "]", "}"]);

/** The value that a simple statement gives a variable: what stands behind its first sign of assignment, up to a comma or the end. */
function assignedIn(tokens: readonly PlacedToken[], signs: ReadonlySet<string>): { from: number; to: number } | null {
  let depth = 0;
  let from: number | null = null;
  let to = 0;
  for (const token of tokens) {
    if (closing.has(token.text)) depth -= 1;
    if (depth === 0 && (token.text === ";" || (token.text === "," && from !== null))) break;
    if (from === null && depth === 0 && signs.has(token.text)) from = token.to;
    else if (from !== null) to = token.to;
    if (opening.has(token.text)) depth += 1;
  }
  return from !== null && to > from ? { from, to } : null;
}

/**
 * The expressions of a line (from 1) that can be taken apart, in the order of the text: conditions, values that are assigned or
 * given back, and what calls are given. Empty for a language whose expressions are not worked out.
 */
export function expressionsOn(language: Language, text: string, line: number): PlacedExpression[] {
  const { syntax, values } = language;
  if (!syntax || !values) return [];
  const starts = lineStarts(text);
  const code = placed(text, language.tokens(text)).filter((token) => token.kind !== "comment");
  const signs = new Set(["=", ":=", (language.writingOf?.(text) ?? language.writing)?.assign ?? "="]);
  const found: PlacedExpression[] = [];
  const add = (use: ExpressionUse, place: { from: number; to: number }, loop?: PlacedExpression["loop"]) => {
    const inside = text.slice(place.from, place.to);
    const from = place.from + (inside.length - inside.trimStart().length);
    const trimmed = inside.trim().replace(/;$/, "").trimEnd();
    if (trimmed === "" || found.some((each) => each.from === from)) return;
    found.push({ use, from, to: from + trimmed.length, text: trimmed, ...(loop ? { loop } : {}) });
  };
  walk(syntax(text), (node, around) => {
    if (lineAt(starts, node.from) !== line) return;
    if (node.role === "condition") {
      const owner = around.at(-1);
      const loop = owner?.kind === "for" || owner?.kind === "while" || owner?.kind === "do" ? owner.kind : undefined;
      if (owner?.kind !== "choice") add("asked", inBrackets(node), loop);
    } else if (node.kind === "statement" || node.kind === "declaration") {
      const inside = tokensWithin(code, node.from, node.to);
      // What is given once, before anything of it runs, is not worked out where the line runs.
      if (inside.some((token) => token.text === "static" || token.text === "persistent")) return;
      const assigned = assignedIn(inside, signs);
      if (assigned) add("assigned", assigned);
      else for (const each of givenIn(node)) add("given", each);
    } else if (node.kind === "return") {
      const value = part(node, "value") ?? node.children[0];
      if (value) add("back", value);
    }
  });
  return found.sort((one, other) => one.from - other.from);
}

/** A condition without the brackets that the language asks for around it. */
export function inBrackets(node: SyntaxNode): { from: number; to: number } {
  const [inner] = node.children;
  return node.kind === "group" && node.children.length === 1 && inner ? inner : node;
}

/** What the call is given that a statement consists of. */
function givenIn(statement: SyntaxNode): SyntaxNode[] {
  const call = statement.children.length === 1 ? statement.children[0] : undefined;
  if (call?.kind !== "call") return [];
  const plain = new Set(["number", "text", "constant", "name"]);
  return call.children.filter((child) => child.role === "argument" && !plain.has(child.kind));
}
