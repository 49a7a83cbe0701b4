import type { Token } from "../languages/token.ts";
import { columnOf } from "../source/lines.ts";

/** A token of the program by its place: line and column 1-based, column in code points. */
export type PlacedToken = { text: string; kind: Token["kind"]; line: number; column: number };

/**
 * The token that a message's column points at, and the one before it (perhaps on a line above); null where there is
 * none.
 */
export type TokensAt = { at: PlacedToken | null; before: PlacedToken | null };

/**
 * Resolves a place (1-based line and column in code points) in a program's tokens and lines to the token there and the
 * token before it, comments left aside. A column in a gap or past the line's end has no token of its own; what stands
 * left of it is then the token before.
 */
export function tokensAt(tokens: readonly Token[], lines: readonly string[], line: number, column: number): TokensAt {
  const place = (token: Token | null): PlacedToken | null =>
    token && {
      text: token.text.length > 60 ? `${token.text.slice(0, 60)}…` : token.text,
      kind: token.kind,
      line: token.line,
      column: columnOf(lines[token.line - 1] ?? "", token.offset),
    };
  // The place as a UTF-16 offset, as tokens have it.
  let offset = 0;
  const text = lines[line - 1] ?? "";
  for (let count = 1; count < column; count++) offset += (text.codePointAt(offset) ?? 0) > 0xffff ? 2 : 1;
  let before: Token | null = null;
  for (const token of tokens) {
    if (token.line > line || (token.line === line && token.offset > offset)) break;
    if (token.kind === "comment") continue;
    if (token.line === line && (token.endLine > line || offset < token.offset + token.text.length))
      return { at: place(token), before: place(before) };
    before = token;
  }
  return { at: null, before: place(before) };
}
