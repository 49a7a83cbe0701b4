import type { Language } from "../languages/language.ts";
import { lineTexts } from "./lines.ts";

/** A stretch of a line that differs in weight or slant; `open`: a text whose closing quote is missing. */
export type Stretch = { text: string; kind?: "keyword" | "comment" | "text" | "open" };

/**
 * Every line of a program as stretches, so that a misspelt keyword, a text that goes on too far or a comment is seen without
 * colour. The stretches of a line joined are the line without its end.
 */
export function lineStyles(language: Language, program: string): Stretch[][] {
  const lines = lineTexts(program);
  const found: Array<Array<{ from: number; to: number; kind: NonNullable<Stretch["kind"]> }>> = lines.map(() => []);
  for (const token of language.tokens(program)) {
    if (token.kind !== "keyword" && token.kind !== "comment" && token.kind !== "text") continue;
    const kind = token.kind === "text" && token.open ? "open" : token.kind;
    const parts = token.text.split(/\r\n|\n|\r/);
    for (const [at, part] of parts.entries()) {
      const from = at === 0 ? token.offset : 0;
      found[token.line - 1 + at]?.push({ from, to: from + part.length, kind });
    }
  }
  return lines.map((line, index) => {
    const stretches: Stretch[] = [];
    let at = 0;
    for (const { from, to, kind } of found[index] ?? []) {
      const end = Math.min(to, line.length);
      if (from < at || end <= from) continue;
      if (from > at) stretches.push({ text: line.slice(at, from) });
      stretches.push({ text: line.slice(from, end), kind });
      at = end;
    }
    if (at < line.length || stretches.length === 0) stretches.push({ text: line.slice(at) });
    return stretches;
  });
}
