import type { LexicalRules } from "../lexical.ts";

/** Keywords and literals of Java 17 (The Java Language Specification, 3.9 and 3.10). */
export const javaKeywords: ReadonlySet<string> = new Set(
  (
    "abstract assert boolean break byte case catch char class const continue default do double else enum extends final finally float for goto if implements import " +
    "instanceof int interface long native new package private protected public return short static strictfp super switch synchronized this throw throws transient try " +
    "void volatile while true false null"
  ).split(" "),
);
/** Words that begin a declaration. */
export const javaTypeWords: ReadonlySet<string> = new Set(
  "boolean byte char double float int long short void var String".split(" "),
);
/** How Java writes its smallest pieces. */
export const javaLexical: LexicalRules = {
  keywords: javaKeywords,
  name: /[\p{L}_$][\p{L}\p{Nd}_$]*/uy,
  number: /(?:0[xX][\da-fA-F_]+|0[bB][01_]+|\d[\d_]*\.?[\d_]*(?:[eE][+-]?\d+)?|\.\d[\d_]*(?:[eE][+-]?\d+)?)[lLfFdD]?/y,
  operator:
    />>>=|<<=|>>=|>>>|\.\.\.|->|::|\+\+|--|&&|\|\||==|!=|<=|>=|\+=|-=|\*=|\/=|%=|&=|\|=|\^=|<<|>>|[-+*/%&|^~!<>=?:;,.@]/y,
  lineComment: /\/\//y,
  blockComments: [{ open: "/*", close: "*/" }],
  texts: [
    { open: /"""/y, close: '"""', escape: "\\", lines: true },
    { open: /"/y, close: '"', escape: "\\" },
    { open: /'/y, close: "'", escape: "\\" },
  ],
};
