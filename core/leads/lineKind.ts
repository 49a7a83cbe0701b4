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

/**
 * How much of a line is a person's own thought, for the order of leads: a line that only reads, only prints or only names a
 * function is seldom where the fault lies. 0 for a line that works something out, less for others.
 */
export function lineKind(language: Language, tokens: readonly Token[]): number {
  const library = language.writing?.library ?? commonLibrary;
  const names = tokens.filter((token) => token.kind === "name").map((token) => token.text);
  const works = tokens.some(
    (token, at) =>
      calculating.has(token.text) || /^(and|or|not|div|mod)$/i.test(token.text) || picksElement(tokens, at),
  );
  if (language.definesFunction(tokens)) return -25;
  const decides = tokens
    .slice(0, 3)
    .some((token) => token.kind === "keyword" && language.decisionWords.has(token.text.toLowerCase()));
  if (decides) return 0;
  if (names.some((name) => library.prints(name))) return works ? -12 : -18;
  if (names.some((name) => library.reads(name))) return works ? -10 : -16;
  return works ? 0 : -6;
}
