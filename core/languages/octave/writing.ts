import type { Writing } from "../writing.ts";

/** What small edits put into Octave programs. */
export const octaveWriting: Writing = {
  ...{ and: "&&", or: "||", not: "!", equal: "==", unequal: "!=", assign: "=" },
  blocks: { by: "words", open: null, close: "end" },
  statementEnd: ";",
  divides: { decimal: "/", whole: null, rest: "mod" },
  otherOperators: [
    ["*", ".*"],
    ["/", "./"],
    ["^", ".^"],
    ["*", "^"],
  ],
  step: (name, sign) => `${name} = ${name} ${sign} 1;`,
  conversions: [
    { name: "str2num", before: "str2num(", after: ")" },
    { name: "str2double", before: "str2double(", after: ")" },
    { name: "num2str", before: "num2str(", after: ")" },
    { name: "length", before: "length(", after: ")" },
    { name: "floor", before: "floor(", after: ")" },
    { name: "round", before: "round(", after: ")" },
    { name: "transposed", before: "", after: "'" },
  ],
  returns: () => "",
  equalTexts: (one, other) => `strcmp(${one}, ${other})`,
  types: [],
  inclusions: [],
  printers: [],
};
