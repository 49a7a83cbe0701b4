import { findWord } from "../../interpreters/pseudocode/words.ts";
import type { OwnWarningRule } from "../language.ts";
import { tokensByLine } from "../lexical.ts";
import { assigningSigns, isWord } from "./tokens.ts";

/** What can be written in several ways, with the way that a token is written in; null where it is none of it. */
const spelled: ReadonlyArray<{ what: string; of: (token: { text: string }, isSign: boolean) => string | null }> = [
  { what: "a value is given with", of: ({ text }, isSign) => (isSign && assigningSigns.has(text) ? text : null) },
  {
    what: "something is printed with",
    of: ({ text }, isSign) => (!isSign && findWord(text) === "output" ? text.toUpperCase() : null),
  },
  { what: "unequal is written with", of: ({ text }, isSign) => (isSign && /^(?:≠|<>|!=)$/.test(text) ? text : null) },
];

/** Spellings of two styles in one program: each is read, but a reader takes them for two things. */
export const mixedSpellings: OwnWarningRule = ({ code }) => {
  const lines = tokensByLine(code);
  return spelled.flatMap(({ what, of }) => {
    const first = new Map<string, number>();
    for (const [line, tokens] of lines)
      for (const token of tokens) {
        if (token.kind !== "operator" && token.kind !== "keyword") continue;
        const way = isWord(token, "set") ? null : of(token, token.kind === "operator");
        if (way !== null && !first.has(way)) first.set(way, line);
      }
    const [one, other] = [...first];
    if (!one || !other) return [];
    return [
      {
        ...{ line: other[1], kind: "mixed spellings" as const, style: true as const },
        says: `Here ${what} ${other[0]}, in line ${one[1]} with ${one[0]}.`,
        usually: "Two styles are mixed. Both are read, but one of them throughout is easier to follow.",
      },
    ];
  });
};
