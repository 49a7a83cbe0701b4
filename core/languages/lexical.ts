import type { Token } from "./token.ts";

/** How a language writes its smallest pieces. Patterns are sticky (`y`). */
export type LexicalRules = {
  keywords: ReadonlySet<string>;
  /** True if keywords may be written in any letter case. */
  anyCase?: boolean;
  name: RegExp;
  number: RegExp;
  operator: RegExp;
  /** Opening of a comment to the line's end. */
  lineComment: RegExp;
  blockComments: ReadonlyArray<{ open: string; close: string; nested?: boolean; ownLine?: boolean }>;
  /**
   * Quotes of texts: `escape` is a sign before the next character, or "double" where a doubled quote stands for itself;
   * `lines`: may hold line ends.
   */
  texts: ReadonlyArray<{ open: RegExp; close: string; escape: "\\" | "double" | "both" | null; lines?: boolean }>;
  /** False where a quote sign is no text's opening, by the piece before it and whether a blank stands between. */
  opensText?: (quote: string, before: Token | undefined, blankBefore: boolean) => boolean;
  /** What carries a line on to the next, without the line end, as a sticky pattern. */
  continuation?: RegExp;
};

/**
 * Makes a reader of tokens. It never fails: what does not fit comes as "other". A text without its closing quote is
 * `open`; one that may not hold line ends stops at its line's end. A comment that is not closed goes on to the end and
 * is `open`. Lines are 1-based, offsets UTF-16 in the line.
 */
export function createTokenizer(rules: LexicalRules): (text: string) => Token[] {
  return (text) => {
    const tokens: Token[] = [];
    let at = 0;
    let line = 1;
    let lineStart = 0;
    let end = 0;
    let isCarried = false;

    const match = (pattern: RegExp): string | null => {
      pattern.lastIndex = at;
      return pattern.exec(text)?.[0] || null;
    };
    const lineEndAt = (position: number): number =>
      text[position] === "\r" && text[position + 1] === "\n"
        ? 2
        : text[position] === "\n" || text[position] === "\r"
          ? 1
          : 0;
    const push = (kind: Token["kind"], length: number) => {
      const carried = isCarried ? { carried: true as const } : {};
      isCarried = false;
      tokens.push({ kind, text: text.slice(at, at + length), line, offset: at - lineStart, endLine: line, ...carried });
      at += length;
      end = at;
    };
    /** Adds a token that may go over several lines, up to `until`. */
    const pushLong = (kind: Token["kind"], until: number, open: boolean) => {
      const token: Token = { kind, text: text.slice(at, until), line, offset: at - lineStart, endLine: line };
      if (isCarried) token.carried = true;
      isCarried = false;
      while (at < until) {
        const size = lineEndAt(at);
        at += size || 1;
        if (size > 0) {
          line += 1;
          lineStart = at;
        }
      }
      at = Math.min(at, text.length);
      end = at;
      token.endLine = line;
      if (open) token.open = true;
      tokens.push(token);
    };

    while (at < text.length) {
      const lineEnd = lineEndAt(at);
      const carried = lineEnd === 0 && rules.continuation ? match(rules.continuation) : null;
      if (lineEnd > 0) {
        at += lineEnd;
        line += 1;
        lineStart = at;
        continue;
      }
      if (carried) {
        at += carried.length;
        isCarried = true;
        continue;
      }
      const character = text[at] ?? "";
      if (
        character === " " ||
        character === "\t" ||
        character === "\f" ||
        character === "\v" ||
        character === "\ufeff" ||
        character === "\u00a0"
      ) {
        at += 1;
        continue;
      }
      const block = rules.blockComments.find(
        (each) =>
          text.startsWith(each.open, at) &&
          (!each.ownLine ||
            /^\s*$/.test(text.slice(lineStart, at) + (/^[^\r\n]*/.exec(text.slice(at + each.open.length))?.[0] ?? ""))),
      );
      if (block) {
        const [until, open] = endOfComment(text, at, block);
        pushLong("comment", until, open);
        continue;
      }
      const comment = match(rules.lineComment);
      if (comment) {
        push("comment", comment.length + (/^[^\r\n]*/.exec(text.slice(at + comment.length))?.[0].length ?? 0));
        continue;
      }
      const quoted = rules.texts.find(
        (each) => match(each.open) !== null && (rules.opensText?.(character, tokens.at(-1), at > end) ?? true),
      );
      if (quoted) {
        const [until, open] = endOfText(text, at + (match(quoted.open)?.length ?? 1), quoted);
        pushLong("text", until, open);
        continue;
      }
      const word = match(rules.name);
      const digits = match(rules.number);
      const sign = match(rules.operator);
      if (word) push(rules.keywords.has(rules.anyCase ? word.toLowerCase() : word) ? "keyword" : "name", word.length);
      else if (digits) push("number", digits.length);
      else if ("()[]{}".includes(character)) push("bracket", 1);
      else if (sign) push("operator", sign.length);
      else push("other", (text.codePointAt(at) ?? 0) > 0xffff ? 2 : 1);
    }
    return tokens;
  };
}

function endOfComment(
  text: string,
  from: number,
  { open, close, nested }: LexicalRules["blockComments"][number],
): [until: number, open: boolean] {
  let depth = 0;
  for (let at = from; at < text.length; at++) {
    if (text.startsWith(open, at) && (depth === 0 || nested)) {
      depth += 1;
      at += open.length - 1;
    } else if (text.startsWith(close, at)) {
      depth -= 1;
      if (depth === 0) return [at + close.length, false];
      at += close.length - 1;
    }
  }
  return [text.length, true];
}

function endOfText(
  text: string,
  from: number,
  { close, escape: escaping, lines }: LexicalRules["texts"][number],
): [until: number, open: boolean] {
  let at = from;
  while (at < text.length) {
    if ((escaping === "double" || escaping === "both") && text.startsWith(close + close, at)) at += 2 * close.length;
    else if (text.startsWith(close, at)) return [at + close.length, false];
    else if (!lines && (text[at] === "\n" || text[at] === "\r")) return [at, true];
    else if (
      (escaping === "\\" || escaping === "both") &&
      text[at] === "\\" &&
      text[at + 1] !== "\n" &&
      text[at + 1] !== "\r"
    )
      at += 2;
    else at += 1;
  }
  return [Math.min(at, text.length), true];
}

/** The tokens of each line (1-based, by where a token begins), comments left out. */
export function tokensByLine(tokens: readonly Token[]): Map<number, Token[]> {
  const lines = new Map<number, Token[]>();
  for (const token of tokens) {
    if (token.kind === "comment") continue;
    const line = lines.get(token.line);
    if (line) line.push(token);
    else lines.set(token.line, [token]);
  }
  return lines;
}
