import { createTokenizer } from "../lexical.ts";

/** Keywords of C# (ECMA-334, 6.4.4). */
export const csharpKeywords: ReadonlySet<string> = new Set(
  (
    "abstract as base bool break byte case catch char checked class const continue decimal default delegate do double else enum event explicit extern false finally fixed " +
    "float for foreach goto if implicit in int interface internal is lock long namespace new null object operator out override params private protected public readonly ref " +
    "return sbyte sealed short sizeof stackalloc static string struct switch this throw true try typeof uint ulong unchecked unsafe ushort using virtual void volatile while"
  ).split(" "),
);

/** Takes a text of this language apart. */
export const csharpTokens = createTokenizer({
  keywords: csharpKeywords,
  name: /@?[\p{L}_][\p{L}\p{Nd}_]*/uy,
  number:
    /(?:0[xX][\da-fA-F_]+|0[bB][01_]+|\d[\d_]*(?:\.\d[\d_]*)?(?:[eE][+-]?\d+)?|\.\d[\d_]*(?:[eE][+-]?\d+)?)[uUlLfFdDmM]*/y,
  operator:
    /\?\?=|<<=|>>=|=>|\?\?|\?\.|->|::|\+\+|--|&&|\|\||==|!=|<=|>=|\+=|-=|\*=|\/=|%=|&=|\|=|\^=|<<|>>|[-+*/%&|^~!<>=?:;,.#]/y,
  lineComment: /\/\//y,
  blockComments: [{ open: "/*", close: "*/" }],
  texts: [
    { open: /(?:\$@|@\$|@)"/y, close: '"', escape: "double", lines: true },
    { open: /\$?"/y, close: '"', escape: "\\" },
    { open: /'/y, close: "'", escape: "\\" },
  ],
});
