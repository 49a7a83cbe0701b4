import type { Token } from "../languages/token.ts";
import { splitLines } from "../source/lines.ts";

/** A token with its place in the whole text: UTF-16 offsets from `from` to before `to`. */
export type PlacedToken = Token & { from: number; to: number };

/** Where each line of a text begins, as offsets; index 0 is line 1. */
export function lineStarts(text: string): number[] {
  const starts: number[] = [];
  let at = 0;
  for (const line of splitLines(text)) {
    starts.push(at);
    at += line.text.length + line.end.length;
  }
  return starts.length > 0 ? starts : [0];
}

/** Tokens with their places in the text that they were read from. */
export function placed(text: string, tokens: readonly Token[]): PlacedToken[] {
  const starts = lineStarts(text);
  return tokens.map((token) => {
    const from = (starts[token.line - 1] ?? 0) + token.offset;
    return { ...token, from, to: from + token.text.length };
  });
}

/** The 1-based line in which an offset lies, by where lines begin. */
export function lineAt(starts: readonly number[], offset: number): number {
  let low = 0;
  let high = starts.length - 1;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if ((starts[middle] ?? 0) <= offset) low = middle;
    else high = middle - 1;
  }
  return low + 1;
}

/** The tokens of a program, in its order, that lie between two offsets. */
export function tokensWithin(code: readonly PlacedToken[], from: number, to: number): PlacedToken[] {
  let [low, high] = [0, code.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((code[middle]?.from ?? 0) < from) low = middle + 1;
    else high = middle;
  }
  const found: PlacedToken[] = [];
  for (let token = code[low]; token && token.to <= to; token = code[++low]) found.push(token);
  return found;
}
