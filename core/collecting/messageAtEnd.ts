import type { Language } from "../languages/language.ts";
import { lineTexts, splitLines } from "../source/lines.ts";

/**
 * A message that was pasted behind a program: its first line (1-based), its text freed of comment marks, the program
 * without it.
 */
export type MessageAtEnd = { fromLine: number; text: string; commented: boolean; program: string };

/** Lines at the end of a program that are looked at. */
const looked = 120;

/**
 * Finds a message that a person pasted at the end of a program file, plainly or as a comment; null if there is none.
 */
export function messageAtEnd(language: Language, program: string): MessageAtEnd | null {
  const lines = lineTexts(program);
  const start = Math.max(1, lines.length - looked);
  const signs = [...new Set([language.lineComment, "//", "#", "%", "'"])].map((sign) => sign.replace(/[^\w]/g, "\\$&"));
  const mark = new RegExp(`^\\s*(?:${signs.join("|")}) ?`);
  const tail = lines.slice(start);
  const fence = /^\s*(?:"""|'''|\/\*+|\*+\/|\(\*|\*\)|\{|\}|%\{|%\})\s*$/;
  const bare = tail.map((line) => (fence.test(line) ? "" : line.replace(mark, "")));
  const { diagnostics, parts } = language.readOutput(bare.join("\n"));
  if (diagnostics.length === 0) return null;
  const kinds = new Map<number, string>();
  for (const part of parts) for (let at = part.from; at <= part.to; at++) kinds.set(at, part.kind);
  // From the end upwards as long as lines belong to messages, to what stands around them, or hold nothing.
  let first = tail.length + 1;
  for (let at = tail.length; at >= 1; at--) {
    const kind = kinds.get(at);
    const text = (bare[at - 1] ?? "").trim();
    if (kind === "message" || kind === "summary" || kind === "command") first = at;
    else if (text !== "") break;
  }
  if (first > tail.length || !diagnostics.some((each) => (each.outputLines?.from ?? 0) >= first)) return null;
  // A line that stands just above as a fence of a block comment belongs to it.
  while (first > 1 && fence.test(tail[first - 2] ?? "")) first -= 1;
  const from = start + first - 1;
  const own = tail.slice(first - 1).filter((line) => line.trim() !== "");
  const fenced = own.some((line) => fence.test(line));
  const commented = fenced || own.every((line) => mark.test(line));
  return {
    fromLine: from + 1,
    text: `${bare
      .slice(first - 1)
      .join("\n")
      .trim()}\n`,
    commented,
    program: splitLines(program)
      .slice(0, from)
      .map((line) => line.text + line.end)
      .join(""),
  };
}
