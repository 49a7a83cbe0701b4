import { createTokenizer } from "../lexical.ts";

/** Reserved words of Object Pascal (Free Pascal Reference guide, 1.3). */
export const pascalKeywords: ReadonlySet<string> = new Set(
  (
    "and array as asm begin case class const constructor destructor div do downto else end except exports file finalization finally for function goto if implementation in " +
    "inherited initialization inline interface is label library mod nil not object of on operator or out packed procedure program property raise record repeat resourcestring " +
    "set shl shr string then threadvar to try type unit until uses var while with xor"
  ).split(" "),
);

/** Takes a text of this language apart. */
export const pascalTokens = createTokenizer({
  keywords: pascalKeywords,
  anyCase: true,
  name: /&?[\p{L}_][\p{L}\p{Nd}_]*/uy,
  number: /(?:\$[\da-fA-F]+|%[01]+|\d+(?:\.(?!\.)\d+)?(?:[eE][+-]?\d+)?)/y,
  operator: /:=|\.\.|<>|<=|>=|><|\+=|-=|\*=|\/=|\*\*|[-+*/=<>@^:;,.#]/y,
  lineComment: /\/\//y,
  blockComments: [
    { open: "{", close: "}" },
    { open: "(*", close: "*)" },
  ],
  texts: [{ open: /'/y, close: "'", escape: "double" }],
});
