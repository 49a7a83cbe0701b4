import type { Language, OwnWarning } from "../languages/language.ts";
import type { Token } from "../languages/token.ts";

/** Everything that is noticed in a program, in the order of its lines. */
export function ownWarnings(language: Language, program: string): OwnWarning[] {
  const rules = language.ownWarnings ?? [];
  if (rules.length === 0) return [];
  const code = language.tokens(program).filter((token) => token.kind !== "comment");
  return rules.flatMap((rule) => rule({ language, code })).sort((one, other) => one.line - other.line);
}

/** The index of the partner of the bracket at `at`; the last token's where it has none. */
export function partnerOf(code: readonly Token[], at: number): number {
  const opening = code[at]?.text ?? "";
  const closing = { "(": ")", "[": "]", "{": "}" }[opening] ?? "";
  let depth = 0;
  for (let index = at; index < code.length; index++) {
    if (code[index]?.text === opening) depth += 1;
    if (code[index]?.text === closing) depth -= 1;
    if (depth === 0) return index;
  }
  return code.length - 1;
}
