import type { Language } from "../languages/language.ts";
import { tokensByLine } from "../languages/lexical.ts";
import type { Token } from "../languages/token.ts";
import { lineTexts } from "../source/lines.ts";

/** A program's file taken apart once for all that is asked of it. */
export type FileParts = {
  lines: readonly string[];
  tokens: readonly Token[];
  byLine: ReadonlyMap<number, readonly Token[]>;
};

/** Takes files apart when they are asked for, each once. A message that names no file means the first one. */
export function programParts(
  language: Language,
  program: Readonly<Record<string, string>> | undefined,
): (file: string | undefined) => FileParts | null {
  const known = new Map<string, FileParts>();
  return (file) => {
    const name = program === undefined ? undefined : (file ?? Object.keys(program)[0]);
    const text = name === undefined ? undefined : program?.[name];
    if (name === undefined || text === undefined) return null;
    let parts = known.get(name);
    if (!parts) {
      const tokens = language.tokens(text);
      parts = { lines: lineTexts(text), tokens, byLine: tokensByLine(tokens) };
      known.set(name, parts);
    }
    return parts;
  };
}
