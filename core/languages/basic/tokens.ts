import { createTokenizer } from "../lexical.ts";

/** A reader of Basic, by the words that one of its kinds reserves. */
export function createBasicTokens(keywords: ReadonlySet<string>) {
  return createTokenizer({
    keywords,
    anyCase: true,
    // A sign of a type belongs to its name; the one that joins texts stands before a value.
    name: /[\p{L}_][\p{L}\p{Nd}_]*(?:[%!@$]|&(?![\p{L}\d"( ]))?/uy,
    number: /(?:&[hH][\da-fA-F]+|(?:\d+(?:\.\d+)?|\.\d+)(?:[eE][+-]?\d+)?)/y,
    operator: /<>|<=|>=|:=|\+=|-=|\*=|\/=|&=|[-+*/\\^&=<>.,:;#?!@]/y,
    lineComment: /'|[Rr][Ee][Mm]\b/y,
    blockComments: [],
    texts: [{ open: /"/y, close: '"', escape: "double" }],
    continuation: / _[ \t]*(?=\r|\n)/y,
  });
}
