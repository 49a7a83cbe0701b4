import { escaped } from "../../source/escaped.ts";
import type { InputForms, InputRead } from "../inputReads.ts";
import { isWord, pseudocodeTokens } from "./tokens.ts";

/** What a name takes, by its declaration or by what it is compared with; a whole number where nothing tells. */
function kindOf(name: string, program: string): InputRead["kind"] {
  const declared = new RegExp(
    String.raw`\b${escaped(name)}\b[^:"\r\n]*:\s*(?:ARRAY\s*\[[^\]]*\]\s*OF\s*)?(\w+)`,
    "i",
  ).exec(program);
  const type = declared?.[1]?.toUpperCase() ?? "";
  if (/^(?:STRING|TEXT|CHAR|CHARACTER)$/.test(type)) return "text";
  if (/^(?:REAL|FLOAT)$/.test(type)) return "decimal";
  const asText = String.raw`\b${escaped(name)}\s*(?:=|<>|!=|≠)\s*["'“]|(?:LENGTH|UPPER|LOWER|LEFT|RIGHT|MID)\s*\(\s*${escaped(name)}\b`;
  return new RegExp(asText, "i").test(program) ? "text" : "whole";
}

/** How programs in pseudocode read what is typed in. */
export const pseudocodeInput: InputForms = {
  reads: [{ form: /(?<name>[\p{L}_][\p{L}\p{Nd}_]*)\s*(?:←|<-|:=|=|TO)\s*USERINPUT\b/iu, kind: "whole" }],
  oneEqualsCompares: true,
  severalReads: (line, program) => {
    const tokens = pseudocodeTokens(line).filter((token) => token.kind !== "comment");
    const at = tokens.findIndex((token) => isWord(token, "input"));
    if (at < 0) return [];
    // Each target begins behind the word, a prompt or a comma; what is in brackets picks an element of it.
    return tokens.slice(at + 1).flatMap((token, index, rest) => {
      const before = rest[index - 1];
      const begins = index === 0 || before?.text === "," || before?.kind === "text";
      const inside = rest
        .slice(0, index)
        .reduce((depth, each) => depth + Number(each.text === "[") - Number(each.text === "]"), 0);
      return token.kind === "name" && begins && inside === 0
        ? [{ name: token.text, kind: kindOf(token.text, program) }]
        : [];
    });
  },
};
