import type { Language } from "../languages/language.ts";
import type { Token } from "../languages/token.ts";
import { columnOf, lineTexts } from "./lines.ts";

/**
 * A sign that opens or closes something: its place (line and column from 1) and that of its partner, or null where it
 * has none.
 */
export type PairedSign = {
  text: string;
  line: number;
  column: number;
  partner: { text: string; line: number; column: number } | null;
};

/** A line with the depth of brackets and blocks at its end, and what stands in it without a partner. */
export type StructureLine = { line: number; text: string; depth: number; unpaired: string[]; closes: string[] };

/** How a text is nested, as its signs say: comments and texts in quotes do not count. */
export type Structure = { lines: StructureLine[]; signs: PairedSign[]; openTexts: number[] };

const partners: Readonly<Record<string, string>> = { ")": "(", "]": "[", "}": "{" };

/** Lines of a program beyond which its structure is not drawn. */
const longest = 5000;

/**
 * Pairs brackets, and the words for blocks where the language has them. A closing sign that does not fit what is open
 * has no partner, and what is open goes on, so that one surplus sign does not upset all that follow.
 */
export function structureOf(language: Language, program: string): Structure {
  const texts = lineTexts(program).slice(0, longest);
  const signs: PairedSign[] = [];
  const open: Array<{ sign: PairedSign; kind: string }> = [];
  const depths = new Map<number, number>();
  const openTexts: number[] = [];
  let before: Token | undefined;
  for (const token of language.tokens(program)) {
    if (token.line > texts.length) break;
    if (token.kind === "text" && token.open) openTexts.push(token.line);
    const word = token.text.toLowerCase();
    const isWord = token.kind === "keyword" && before?.text !== ".";
    const opens =
      token.kind === "bracket"
        ? partners[token.text] === undefined
        : isWord && (language.blockWords?.opens.has(word) ?? false);
    const closes =
      token.kind === "bracket"
        ? partners[token.text] !== undefined
        : isWord && (language.blockWords?.closes.has(word) ?? false);
    if (opens || closes) {
      const sign: PairedSign = {
        text: token.text,
        line: token.line,
        column: columnOf(texts[token.line - 1] ?? "", token.offset),
        partner: null,
      };
      signs.push(sign);
      if (opens) open.push({ sign, kind: token.kind === "bracket" ? token.text : "word" });
      else {
        const wanted = token.kind === "bracket" ? (partners[token.text] ?? "") : "word";
        const at = open.at(-1)?.kind === wanted ? open.length - 1 : -1;
        const partner = at < 0 ? undefined : open[at]?.sign;
        if (partner) {
          open.length = at;
          sign.partner = { text: partner.text, line: partner.line, column: partner.column };
          partner.partner = { text: sign.text, line: sign.line, column: sign.column };
        }
      }
    }
    if (token.kind !== "comment") before = token;
    depths.set(token.line, open.length);
  }
  let depth = 0;
  const lines = texts.map((text, index): StructureLine => {
    const line = index + 1;
    depth = depths.get(line) ?? depth;
    const own = signs.filter((sign) => sign.line === line);
    return {
      line,
      text,
      depth,
      unpaired: own.filter((sign) => !sign.partner).map((sign) => sign.text),
      closes: own.flatMap((sign) =>
        sign.partner && sign.partner.line < line ? [`${sign.text} closes line ${sign.partner.line}`] : [],
      ),
    };
  });
  return { lines, signs, openTexts };
}
