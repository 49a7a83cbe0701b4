import type { Language } from "../languages/language.ts";
import type { Token } from "../languages/token.ts";
import { commonLibrary } from "../languages/writing.ts";

const calculating = new Set([
  "+",
  "-",
  "*",
  "/",
  "%",
  "//",
  "**",
  "<",
  ">",
  "<=",
  ">=",
  "==",
  "!=",
  "<>",
  "+=",
  "-=",
  "*=",
  "++",
  "--",
  ".*",
  "./",
]);

/** True for the bracket that picks an element: no list is written there, and none is made. */
function picksElement(tokens: readonly Token[], at: number): boolean {
  const [made, before, after] = [tokens[at - 2], tokens[at - 1], tokens[at + 1]];
  return tokens[at]?.text === "[" && before?.kind === "name" && made?.text !== "new" && after?.text !== "]";
}

/** True for a sign around the kinds of what a list or table holds, which compares nothing: `List<Ticket> tickets`. */
function namesKinds(tokens: readonly Token[], at: number): boolean {
  const isKind = (token: Token | undefined) =>
    token !== undefined &&
    (/^\p{Lu}[\p{L}\p{N}_]*$/u.test(token.text) || /^(?:int|bool|double|char|long|string|var)$/.test(token.text));
  const opens = tokens.findLastIndex((token, place) => token.text === "<" && place <= at);
  const owner = tokens[opens - 1];
  if (opens < 0 || !owner || !/^\p{Lu}\p{Ll}/u.test(owner.text)) return false;
  const closes = tokens.findIndex((token, place) => place > opens && /^>+$/.test(token.text));
  const inside = tokens.slice(opens + 1, closes);
  return closes >= at && inside.every((token) => isKind(token) || /^[,<>[\]]+$/.test(token.text));
}

/** What is seldom the fault of a loop's header: one that goes over a whole list leaves nothing to be wrong. */
const ofLoops = { walks: -25, counts: -6, waits: -3 } as const;

/** What a line does that heads a loop: goes over all of something, counts, or waits for a condition; null for any other line. */
function loopOf(language: Language, tokens: readonly Token[]): keyof typeof ofLoops | null {
  const heads = tokens
    .slice(0, 3)
    .some((token) => token.kind === "keyword" && language.loopWords.has(token.text.toLowerCase()));
  if (!heads) return null;
  const has = (text: string) => tokens.some((token) => token.text.toLowerCase() === text);
  const parts = has("in") || tokens.some((token, at) => token.text === ":" && at < tokens.length - 1);
  const counts =
    tokens.some((token) => /^(?::?=|<-)$/.test(token.text)) || has(language.writing?.countingCall ?? "range");
  if (parts && !counts) return "walks";
  return counts ? "counts" : "waits";
}

/**
 * How much of a line is a person's own thought, for the order of leads: a line that only reads, only prints or only names a
 * function is seldom where the fault lies. 0 for a line that works something out, less for others.
 */
export function lineKind(language: Language, tokens: readonly Token[]): number {
  const library = language.writing?.library ?? commonLibrary;
  const names = tokens.filter((token) => token.kind === "name").map((token) => token.text);
  const works = tokens.some(
    (token, at) =>
      (calculating.has(token.text) && !(/^[<>]$/.test(token.text) && namesKinds(tokens, at))) ||
      /^(and|or|not|div|mod)$/i.test(token.text) ||
      picksElement(tokens, at),
  );
  if (language.definesFunction(tokens)) return -25;
  const loop = loopOf(language, tokens);
  if (loop) return ofLoops[loop];
  const decides = tokens
    .slice(0, 3)
    .some((token) => token.kind === "keyword" && language.decisionWords.has(token.text.toLowerCase()));
  if (decides) return 0;
  if (names.some((name) => library.prints(name))) return works ? -12 : -18;
  if (names.some((name) => library.reads(name))) return works ? -10 : -16;
  return works ? 0 : -6;
}
