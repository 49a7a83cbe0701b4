import type { Language } from "./language.ts";
import { tokensByLine } from "./lexical.ts";

/** Words of lines that only bring something along: what nothing calls decides nothing. */
const bringsAlong = /^(?:import|from|using|uses)$/i;

/** True where a program calls what draws on chance or the clock; a variable may have such a name, too. */
export function usesChance(language: Language, text: string): boolean {
  const code = language.tokens(text).filter((token) => token.kind !== "comment");
  return [...tokensByLine(code).values()].some((line) => {
    if (bringsAlong.test(line[0]?.text ?? "")) return false;
    return line.some((token, at) => {
      if (token.kind !== "name" || !language.chanceWords.has(token.text)) return false;
      const [before, next] = [line[at - 1]?.text, line[at + 1]?.text];
      return next === "(" || next === "." || before === "." || before === "new";
    });
  });
}
