import type { Language, Token } from "../languages/language.ts";
import { columnOf, lineTexts } from "../source/lines.ts";

/** A token of the program by its place: line and column 1-based, column in code points. */
export type PlacedToken = { text: string; kind: Token["kind"]; line: number; column: number };

/** The token that a message's column points at, and the one before it (perhaps on a line above); null where there is none. */
export type TokensAt = { at: PlacedToken | null; before: PlacedToken | null };

/**
 * Resolves a place (1-based line and column in code points) to the token there and the token before it, comments left aside. A column in
 * a gap or past the line's end has no token of its own; what stands left of it is then the token before.
 */
export function tokensAt(language: Language, program: string, line: number, column: number): TokensAt {
  const lines = lineTexts(program);
  const place = (token: Token): PlacedToken => ({
    text: token.text.length > 60 ? `${token.text.slice(0, 60)}…` : token.text,
    kind: token.kind,
    line: token.line,
    column: columnOf(lines[token.line - 1] ?? "", token.offset),
  });
  const tokens = language.tokens(program).filter((token) => token.kind !== "comment");
  let at: PlacedToken | null = null;
  let before: PlacedToken | null = null;
  for (const token of tokens) {
    if (token.line > line) break;
    const placed = place(token);
    const starts = token.line < line ? -1 : placed.column;
    const over = token.endLine > line || (token.endLine === line && (token.line < line ? true : column < placed.column + [...token.text].length));
    if (starts > column) break;
    if (token.line === line && starts <= column && over) {
      at = placed;
      break;
    }
    before = placed;
  }
  return { at, before };
}
