import { createTokenizer } from "../lexical.ts";

/** Reserved words of Octave (GNU Octave manual, "Keywords"). */
export const octaveKeywords: ReadonlySet<string> = new Set(
  (
    "break case catch continue do else elseif end end_try_catch end_unwind_protect endfor endfunction endif endparfor endswitch endwhile for function global if otherwise " +
    "parfor persistent return switch try until unwind_protect unwind_protect_cleanup while"
  ).split(" "),
);

/**
 * Takes an Octave text apart. A quote right after a name, number, closing bracket or another quote is a transpose sign
 * and opens no text; inside square brackets one after a blank does.
 */
export const octaveTokens = createTokenizer({
  keywords: octaveKeywords,
  name: /[\p{L}_][\p{L}\p{Nd}_]*/uy,
  number: /(?:0[xX][\da-fA-F]+|0[bB][01]+|\d+\.?\d*(?:[eEdD][+-]?\d+)?|\.\d+(?:[eEdD][+-]?\d+)?)[ij]?/y,
  operator:
    /\.\^'|\.\.\.|\+\+|--|&&|\|\||==|~=|!=|<=|>=|\+=|-=|\*=|\/=|\^=|\|=|&=|\.\*|\.\/|\.\\|\.\^|\.'|\*\*|[-+*/\\^'&|~!<>=:;,.@]/y,
  lineComment: /[%#]/y,
  blockComments: [
    { open: "%{", close: "%}", nested: true, ownLine: true },
    { open: "#{", close: "#}", nested: true, ownLine: true },
  ],
  texts: [
    { open: /"/y, close: '"', escape: "both" },
    { open: /'/y, close: "'", escape: "double" },
  ],
  opensText: (quote, before, blankBefore) => {
    if (quote !== "'" || before === undefined) return true;
    const value =
      before.kind === "name" ||
      before.kind === "number" ||
      before.kind === "text" ||
      [")", "]", "}", "'", ".'"].includes(before.text) ||
      before.text === "end";
    return !value || blankBefore;
  },
  continuation: /\.\.\.[^\r\n]*/y,
});
