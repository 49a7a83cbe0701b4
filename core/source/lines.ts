/** A line of a text: `text` without its line end, `end` the line end as it was ("" on a last line without one). */
export type SourceLine = { text: string; end: string };

/**
 * Splits a text at CR LF, LF or CR, keeping every character. Joining text + end of all lines gives the text back. An
 * empty text has no lines.
 */
export function splitLines(text: string): SourceLine[] {
  const lines: SourceLine[] = [];
  const pattern = /\r\n|\n|\r/g;
  let start = 0;
  for (let match = pattern.exec(text); match; match = pattern.exec(text)) {
    lines.push({ text: text.slice(start, match.index), end: match[0] });
    start = match.index + match[0].length;
  }
  if (start < text.length) lines.push({ text: text.slice(start), end: "" });
  return lines;
}

/** The lines of a text without their line ends. */
export function lineTexts(text: string): string[] {
  return splitLines(text).map((line) => line.text);
}

/** The 1-based column, in code points, of a 0-based UTF-16 offset in a line. */
export function columnOf(line: string, offset: number): number {
  let column = 1;
  for (let at = 0; at < offset && at < line.length; at += (line.codePointAt(at) ?? 0) > 0xffff ? 2 : 1) column += 1;
  return column;
}

/** A line without what ends it. */
export function withoutEnd(line: string): string {
  return line.replace(/\r?\n$|\r$/, "");
}
