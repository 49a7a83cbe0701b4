import type { Language } from "./language.ts";

/** True where a program calls what draws on chance or the clock; a variable may have such a name, too. */
export function usesChance(language: Language, text: string): boolean {
  const code = language.tokens(text).filter((token) => token.kind !== "comment");
  return code.some((token, at) => {
    if (token.kind !== "name" || !language.chanceWords.has(token.text)) return false;
    const [before, next] = [code[at - 1]?.text, code[at + 1]?.text];
    return next === "(" || next === "." || before === "." || before === "import" || before === "new";
  });
}
