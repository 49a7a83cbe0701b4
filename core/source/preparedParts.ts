import type { Language } from "../languages/language.ts";
import { splitLines } from "./lines.ts";

/**
 * Lines (1-based, the last included) that are commented out and look like a program's, as examples are prepared to be
 * switched on.
 */
export type PreparedPart = { from: number; to: number; text: string };

/** The comment's sign at a line's beginning, with at most one blank after it. */
function mark(language: Language): RegExp {
  return new RegExp(`^([ \\t]*)${language.lineComment.replace(/[^\w]/g, "\\$&")} ?`);
}

/**
 * True for a line that reads like a statement rather than a sentence: it sets a name, calls something, or heads a
 * block.
 */
function looksLikeCode(language: Language, line: string): boolean {
  const tokens = language.tokens(line).filter((token) => token.kind !== "comment");
  if (tokens.length === 0) return false;
  if (language.assignedNames(tokens).length > 0 || language.definesFunction(tokens) || language.loopCondition(tokens))
    return true;
  const call = tokens.findIndex((token, index) => token.kind === "name" && tokens[index + 1]?.text === "(");
  if (call >= 0 && call <= 3) return true;
  return (
    tokens[0]?.kind === "keyword" &&
    (language.decisionWords.has(tokens[0].text) ||
      language.loopWords.has(tokens[0].text) ||
      language.loopExits.includes(tokens[0].text))
  );
}

/**
 * True for a line that reads like a heading or a sentence: two words or more beside each other, with no sign of a
 * statement.
 */
function looksLikeProse(language: Language, line: string): boolean {
  if (/[;={}[\]]|\w\(/.test(line)) return false;
  const tokens = language.tokens(line).filter((token) => token.kind !== "comment");
  const words = tokens.filter((token) => ["name", "keyword", "number"].includes(token.kind));
  const besides = tokens.some((token, index) => {
    const next = tokens[index + 1];
    return token.kind === "name" && (next?.kind === "name" || next?.kind === "number");
  });
  return besides && (words.length > 2 || /^\s*\p{Lu}/u.test(line) || /[.:]\s*$/.test(line));
}

/**
 * The commented-out parts of a program, each a run of comment lines of which most look like code. A heading or sentence
 * between them stays a comment, and parts that follow one another under headings are parts of their own.
 */
export function preparedParts(language: Language, program: string): PreparedPart[] {
  const pattern = mark(language);
  const lines = splitLines(program);
  const parts: PreparedPart[] = [];
  for (let at = 0; at < lines.length; at++) {
    if (!pattern.test(lines[at]?.text ?? "")) continue;
    let end = at;
    while (end + 1 < lines.length && pattern.test(lines[end + 1]?.text ?? "")) end++;
    const bare = lines.slice(at, end + 1).map((line) => line.text.replace(pattern, "$1"));
    for (const { from, to } of stretches(bare, (line) => looksLikeProse(language, line))) {
      const own = bare.slice(from, to);
      const held = own.filter((line) => line.trim() !== "");
      if (held.length > 0 && held.filter((line) => looksLikeCode(language, line)).length >= held.length / 2)
        parts.push({ from: at + from + 1, to: at + to, text: own.join("\n") });
    }
    at = end;
  }
  return parts;
}

/** Stretches of lines (0-based, `to` excluded) between those that part them, without lines of signs or blanks at their ends. */
function stretches(lines: readonly string[], parts: (line: string) => boolean): Array<{ from: number; to: number }> {
  const found: Array<{ from: number; to: number }> = [];
  let from = 0;
  for (let at = 0; at <= lines.length; at++) {
    const line = lines[at];
    if (line !== undefined && !parts(line)) continue;
    let to = at;
    const isRule = (index: number) => /^[\s\-=*#~_/]*$/.test(lines[index] ?? "");
    while (from < to && isRule(from)) from += 1;
    while (to > from && isRule(to - 1)) to -= 1;
    if (to > from) found.push({ from, to });
    from = at + 1;
  }
  return found;
}

/**
 * The program with lines switched on (their comment sign taken off) or off (one put before them). Line ends and all
 * other lines stay.
 */
export function switchLines(language: Language, program: string, from: number, to: number, on: boolean): string {
  const pattern = mark(language);
  return splitLines(program)
    .map((line, index) => {
      const number = index + 1;
      if (number < from || number > to) return line.text + line.end;
      if (on) return line.text.replace(pattern, "$1") + line.end;
      return line.text.trim() === "" ? line.text + line.end : `${language.lineComment} ${line.text}${line.end}`;
    })
    .join("");
}
