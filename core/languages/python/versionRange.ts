import { pythonTokens } from "./tokens.ts";

/** What a wording alone tells of the version. */
const wordings: ReadonlyArray<readonly [pattern: RegExp, range: string]> = [
  [
    /was never closed|[Dd]id you mean|Perhaps you forgot|expected ':'|expected an indented block after|unterminated string literal|Maybe you meant/,
    "3.10 or newer",
  ],
  [/EOL while scanning|EOF while scanning|unexpected EOF while parsing|expected an indented block$/, "3.9 or older"],
  [/cannot access local variable|cannot access free variable/, "3.11 or newer"],
  [/referenced before assignment/, "3.10 or older"],
  [
    /list indices must be integers, not|Missing parentheses in call to 'print'\. Did you mean print\(\.\.\.\)/,
    "3.10 or newer",
  ],
];

/** The line (1-based) of the innermost bracket that is open where a line begins; null where none is. */
function openedBefore(text: string, line: number): number | null {
  const open: number[] = [];
  for (const token of pythonTokens(text)) {
    if (token.line >= line) break;
    if (token.kind === "text" || token.kind === "comment") continue;
    if (/^[([{]$/.test(token.text)) open.push(token.line);
    else if (/^[)\]}]$/.test(token.text)) open.pop();
  }
  return open.at(-1) ?? null;
}

/**
 * The versions of CPython that say it like this: "3.10 or newer", "3.9 or older" and so on; undefined where all of them
 * may. `message`: without the error's name; `source`: the program's text and the line (1-based) that is named, where
 * both are known. Of a bracket that is open since an earlier line a version from 3.10 on says itself that it was never
 * closed ("What's New In Python 3.10", better error messages); a plain "invalid syntax" further down is an older one's.
 */
export function versionRange(message: string, source?: { text: string; line: number }): string | undefined {
  const worded = wordings.find(([pattern]) => pattern.test(message))?.[1];
  if (worded || !source || message !== "invalid syntax") return worded;
  return openedBefore(source.text, source.line) === null ? undefined : "3.9 or older";
}
