import type { Token } from "../token.ts";

/** Reserved words (Python Language Reference 2.3.1). */
export const keywords: ReadonlySet<string> = new Set(
  (
    "False None True and as assert async await break class continue def del elif else except finally for from global if import in is lambda nonlocal " +
    "not or pass raise return try while with yield"
  ).split(" "),
);

const name = /[\p{L}\p{Nl}_][\p{L}\p{Nl}\p{Mn}\p{Mc}\p{Nd}\p{Pc}]*/uy;
const number =
  /(?:0[xX][\da-fA-F_]+|0[oO][0-7_]+|0[bB][01_]+|(?:\d[\d_]*\.?[\d_]*|\.\d[\d_]*)(?:[eE][+-]?\d[\d_]*)?[jJ]?)/y;
const textStart = /(?:[rRbBuUfFtT]{0,2})("""|'''|"|')/y;
const operator =
  /\*\*=|\/\/=|>>=|<<=|\.\.\.|:=|->|==|!=|<=|>=|\+=|-=|\*=|\/=|%=|&=|\|=|\^=|@=|\*\*|\/\/|<<|>>|[-+*/%@&|^~<>=.,:;!]/y;

/**
 * Takes a Python text apart. Never fails: what is no Python comes as "other". A literal without its closing quote is
 * `open`; a one-line literal ends at its line's end (unless a backslash carries it on), a triple-quoted one at the end
 * of the text. Offsets are UTF-16 within the line, lines are 1-based.
 */
export function pythonTokens(text: string): Token[] {
  const tokens: Token[] = [];
  let at = 0;
  let line = 1;
  let lineStart = 0;

  const match = (pattern: RegExp): string | null => {
    pattern.lastIndex = at;
    return pattern.exec(text)?.[0] ?? null;
  };
  const lineEndAt = (position: number): number =>
    text[position] === "\r" && text[position + 1] === "\n"
      ? 2
      : text[position] === "\n" || text[position] === "\r"
        ? 1
        : 0;
  const push = (kind: Token["kind"], length: number) => {
    tokens.push({ kind, text: text.slice(at, at + length), line, offset: at - lineStart, endLine: line });
    at += length;
  };

  while (at < text.length) {
    const character = text[at] ?? "";
    const end = lineEndAt(at);
    if (end > 0) {
      at += end;
      line += 1;
      lineStart = at;
    } else if (
      character === " " ||
      character === "\t" ||
      character === "\f" ||
      character === "\ufeff" ||
      (character === "\\" && lineEndAt(at + 1) > 0)
    ) {
      at += 1;
    } else if (character === "#") {
      const rest = /[^\r\n]*/y;
      rest.lastIndex = at;
      push("comment", rest.exec(text)?.[0].length ?? 1);
    } else if (match(textStart)) {
      textStart.lastIndex = at;
      const opening = textStart.exec(text);
      const quote = opening?.[1] ?? '"';
      const start = at;
      const startLine = line;
      const startOffset = at - lineStart;
      at += opening?.[0].length ?? 1;
      let open = true;
      while (at < text.length) {
        if (text.startsWith(quote, at)) {
          at += quote.length;
          open = false;
          break;
        }
        const lineEnd = lineEndAt(at);
        if (text[at] === "\\") {
          const escapedEnd = lineEndAt(at + 1);
          at += 1 + (escapedEnd || 1);
          if (escapedEnd > 0) {
            line += 1;
            lineStart = at;
          }
        } else if (lineEnd > 0) {
          if (quote.length === 1) break;
          at += lineEnd;
          line += 1;
          lineStart = at;
        } else {
          at += 1;
        }
      }
      at = Math.min(at, text.length);
      const token: Token = {
        kind: "text",
        text: text.slice(start, at),
        line: startLine,
        offset: startOffset,
        endLine: line,
      };
      if (open) token.open = true;
      tokens.push(token);
    } else {
      const word = match(name);
      const digits = word ? null : match(number);
      const sign = word || digits ? null : match(operator);
      if (word) push(keywords.has(word) ? "keyword" : "name", word.length);
      else if (digits) push("number", digits.length);
      else if ("()[]{}".includes(character)) push("bracket", 1);
      else if (sign) push("operator", sign.length);
      else push("other", (text.codePointAt(at) ?? 0) > 0xffff ? 2 : 1);
    }
  }
  return tokens;
}
