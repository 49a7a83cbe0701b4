/** Columns of C compilers, which count what they please. */

/** The text with tabs widened to stops of the given width. */
function widened(text: string, stop: number): string {
  let wide = "";
  for (const character of text) wide += character === "\t" ? " ".repeat(stop - (wide.length % stop)) : character;
  return wide;
}

/**
 * A compiler's column as code points from 1. gcc counts columns of the screen and numbers the echoed line, clang counts
 * bytes and does not number it; the echo tells which of them it was, and how wide tabs were taken. Without the program
 * or an echo the number is kept.
 */
export function columnAt(source: string | undefined, column: number, echo?: string, numbered = true): number {
  if (source === undefined) return column;
  const most = [...source].length + 1;
  if (!numbered && echo !== undefined) {
    let bytes = 1;
    let count = 1;
    for (const character of source) {
      if (bytes >= column) break;
      const code = character.codePointAt(0) ?? 0;
      bytes += code < 0x80 ? 1 : code < 0x800 ? 2 : code < 0x10000 ? 3 : 4;
      count += 1;
    }
    return Math.min(count, most);
  }
  if (echo !== undefined && source.includes("\t") && !echo.includes("\t")) {
    const stop = [8, 1, 4, 2].find((each) => widened(source, each) === echo);
    if (stop) {
      for (let at = 0, count = 1; ; at++, count++) {
        const character = [...source][at];
        if (character === undefined || widened([...source].slice(0, at + 1).join(""), stop).length >= column)
          return Math.min(count, most);
      }
    }
  }
  return Math.min(column, most);
}
