import type { Language } from "./language.ts";
import { tokensByLine } from "./lexical.ts";

/** Words and signs that open or close a block and do nothing themselves. */
const frames: ReadonlySet<string> = new Set(
  "{ } ; begin end else do then try finally endif endwhile endfor endfunction endswitch end_try_catch repeat : .".split(
    " ",
  ),
);

/** Lines (1-based) that hold something to run: no blank ones, no comments, none that only open or close a block. */
export function runnableLines(language: Language, program: string): number[] {
  return [...tokensByLine(language.tokens(program))]
    .filter(([, tokens]) => tokens.some((token) => !frames.has(token.text.toLowerCase())))
    .map(([line]) => line)
    .sort((one, other) => one - other);
}
