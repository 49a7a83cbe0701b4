import { diffArrays } from "diff";
import type { Language } from "../languages/language.ts";
import { splitLines } from "../source/lines.ts";
import { type PlacedToken, placed } from "../syntax/placed.ts";

function tokensOf(language: Language, text: string): PlacedToken[] {
  return placed(
    text,
    language.tokens(text).filter((token) => token.kind !== "comment"),
  );
}

/** A token of the answer with the line of the program that it belongs to; `isNew`: it is none of that line's. */
type Belonging = { token: PlacedToken; line: number; isNew: boolean };

/** Which line of the program each token of an answer belongs to: its own one, or that of the token before it. */
function belongings(before: readonly PlacedToken[], after: readonly PlacedToken[]): Belonging[] {
  const texts = (tokens: readonly PlacedToken[]) => tokens.map((token) => token.text);
  const found: Belonging[] = [];
  let [one, other, line] = [0, 0, 1];
  for (const part of diffArrays(texts(before), texts(after))) {
    const { length } = part.value;
    if (part.removed) {
      line = before[one]?.line ?? line;
      one += length;
      continue;
    }
    for (let at = 0; at < length; at++) {
      const token = after[other + at];
      if (!part.added) line = before[one + at]?.line ?? line;
      if (token) found.push({ token, line, isNew: part.added === true });
    }
    other += length;
    if (!part.added) one += length;
  }
  return found;
}

/**
 * An answer laid out as the program is: where only lines are put together or apart, blanks or comments differ, nothing differs
 * any more. For languages in which lines and blanks do not count. The tokens are those of the answer.
 */
export function relaid(language: Language, program: string, answer: string): string {
  const [before, after] = [tokensOf(language, program), tokensOf(language, answer)];
  const byLine = new Map<number, Belonging[]>();
  for (const each of belongings(before, after)) byLine.set(each.line, [...(byLine.get(each.line) ?? []), each]);
  const lines = splitLines(program);
  const end = lines.find((line) => line.end !== "")?.end ?? "\n";
  let text = "";
  for (const [index, line] of lines.entries()) {
    const own = byLine.get(index + 1) ?? [];
    const had = before.filter((token) => token.line === index + 1);
    const kept = own.filter((each) => !each.isNew);
    const indent = /^\s*/.exec(line.text)?.[0] ?? "";
    // What begins a line of the answer's own, and holds nothing of the program's, is a line put in.
    const putIn = new Set<number>();
    for (const number of new Set(own.map(({ token }) => token.line)))
      if (
        kept.every(({ token }) => token.line !== number) &&
        after.every((token) => token.line !== number || own.some((each) => each.token === token))
      )
        putIn.add(number);
    const stays = own.filter(({ token }) => !putIn.has(token.line));
    const same = stays.length === had.length && stays.every(({ token }, at) => token.text === had[at]?.text);
    const ahead = own.filter(({ token }) => putIn.has(token.line) && stays[0] && token.from < stays[0].token.from);
    const behind = own.filter((each) => putIn.has(each.token.line) && !ahead.includes(each));
    text += written(answer, ahead, indent, end);
    if (same) text += line.text + line.end;
    else if (stays.length > 0) text += indent + spaced(answer, stays) + (line.end || end);
    else if (had.length === 0) text += line.text + line.end;
    text += written(answer, behind, indent, end);
  }
  const again = tokensOf(language, text);
  const isSame = again.length === after.length && again.every((token, at) => token.text === after[at]?.text);
  return isSame ? text : answer;
}

/** Tokens with the blanks that stand between them in the answer, on one line. */
function spaced(answer: string, own: readonly Belonging[]): string {
  let text = "";
  let last: PlacedToken | null = null;
  for (const { token } of own) {
    const between = last ? answer.slice(last.to, token.from) : "";
    text += last && (/\s/.test(between) || between.length > 0) ? " " : "";
    text += token.text;
    last = token;
  }
  return text;
}

/** Lines that were put in, each as it is in the answer. */
function written(answer: string, own: readonly Belonging[], indent: string, end: string): string {
  const numbers = [...new Set(own.map(({ token }) => token.line))];
  return numbers
    .map(
      (number) =>
        indent +
        spaced(
          answer,
          own.filter(({ token }) => token.line === number),
        ) +
        end,
    )
    .join("");
}
