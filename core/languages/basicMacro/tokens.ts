import { createBasicTokens } from "../basic/tokens.ts";

/** Words that the office's Basic reserves (its Basic guide, "Reserved words"). */
export const macroKeywords: ReadonlySet<string> = new Set(
  (
    "and as byref byval call case close const declare dim do each else elseif end endif eqv error exit explicit false for function get global gosub goto if imp in is let like loop lset mod next not nothing " +
    "on open option optional or paramarray print private public redim rem resume return rset select set shared static step stop sub then to true type until wend while with xor empty null"
  ).split(" "),
);

/** Takes a macro's text apart. */
export const macroTokens = createBasicTokens(macroKeywords);
