import { createTokenizer } from "../lexical.ts";

/** Words that typed Basic reserves (language reference, "Keywords"). */
export const basicKeywords: ReadonlySet<string> = new Set(
  (
    "addhandler addressof and andalso as boolean byref byte byval call case catch cbool cbyte cchar cdate cdbl cdec char cint class clng cobj const continue cshort csng cstr ctype date decimal declare default " +
    "delegate dim directcast do double each else elseif end endif enum erase error event exit false finally for friend function get gettype gosub goto handles if implements imports in inherits integer interface is isnot " +
    "let lib like long loop me mod module mustinherit mustoverride mybase myclass namespace new next not nothing notinheritable notoverridable object of on option optional or orelse overloads overridable overrides paramarray partial private property protected public raiseevent readonly redim rem " +
    "removehandler resume return sbyte select set shadows shared short single static step stop string structure sub synclock then throw to true try trycast typeof uinteger ulong until ushort using wend when while with withevents writeonly xor"
  ).split(" "),
);

/** Pieces of typed Basic. A text may begin with $; a name that stands in square brackets is no reserved word. */
export const typedBasicTokens = createTokenizer({
  keywords: basicKeywords,
  anyCase: true,
  name: /(?:\[[\p{L}_][\p{L}\p{Nd}_]*\]|[\p{L}_][\p{L}\p{Nd}_]*(?:[%!@$]|&(?![\p{L}\d"( ]))?)/uy,
  number:
    /(?:&[hHoO][\da-fA-F]+|(?:\d+(?:\.\d+)?|\.\d+)(?:[eE][+-]?\d+)?)(?:(?:[uU]?[sSiIlL]|[fFrRdD])(?![\p{L}\d_]))?/uy,
  operator: /<>|<=|>=|<<|>>|:=|\+=|-=|\*=|\/=|\\=|\^=|&=|[-+*/\\^&=<>.,:;#?!@]/y,
  lineComment: /'|[Rr][Ee][Mm]\b/y,
  blockComments: [],
  texts: [
    { open: /\$"/y, close: '"', escape: "double" },
    { open: /"/y, close: '"', escape: "double" },
  ],
  continuation: / _[ \t]*(?=\r|\n)/y,
});
