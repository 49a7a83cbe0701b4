import type { Word } from "./words.ts";

/** How programs are printed: which spelling of each word, how words are written, which signs. */
export type PseudocodeStyle = {
  id: string;
  name: string;
  letters: "capitals" | "small";
  assign: "←" | "<-" | ":=" | "=";
  /** `SET x TO 5` in place of a sign. */
  setTo: boolean;
  unequal: "≠" | "<>" | "!=";
  atMost: "≤" | "<=";
  words: Readonly<Partial<Record<Word, string>>>;
  /** `END IF` as two words. */
  endsApart: boolean;
  /** What closes a counted loop: `NEXT i`, or an end word. */
  closesFor: "next" | "next counter" | "end";
  equalsAssigns: boolean;
};

const usual: PseudocodeStyle = {
  ...{
    id: "arrows",
    name: "Arrows and capitals",
    letters: "capitals",
    assign: "←",
    setTo: false,
    unequal: "≠",
    atMost: "≤",
    words: {},
  },
  ...{ endsApart: false, closesFor: "next counter", equalsAssigns: true },
};

/** The styles that a course can choose from; each is told by how it looks. */
export const pseudocodeStyles: readonly PseudocodeStyle[] = [
  usual,
  { ...usual, id: "plain", name: "Plain signs and capitals", assign: "<-", unequal: "<>", atMost: "<=" },
  {
    ...usual,
    ...{
      id: "small",
      name: "Equals signs and small letters",
      letters: "small",
      assign: "=",
      unequal: "!=",
      atMost: "<=",
    },
    ...{ closesFor: "next counter", words: { output: "PRINT" } },
  },
  {
    ...usual,
    ...{ id: "set", name: "SET … TO", setTo: true, endsApart: true, closesFor: "end", words: { output: "DISPLAY" } },
    ...{ unequal: "<>", atMost: "<=", equalsAssigns: false },
  },
  {
    ...usual,
    id: "colons",
    name: "Colons and equals",
    assign: ":=",
    unequal: "<>",
    atMost: "<=",
    closesFor: "end",
    equalsAssigns: false,
  },
];
export const usualStyle = usual;
