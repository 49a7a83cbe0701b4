import type { Language } from "../core/languages/language.ts";
import { consoleText } from "../core/outcome/outcome.ts";
import { evidenceOf, type FoundChange } from "../core/patterns/evidence.ts";
import type { Pattern } from "../core/patterns/pattern.ts";
import { type Suggested, suggestPatterns } from "../core/patterns/suggest.ts";
import type { Judged } from "../server/judge/judge.ts";

/** The kinds of mistake that are suggested for a program as it was judged, with what a search found; `own`: a teacher's own ones. */
export function suggestFor(
  language: Language,
  text: string,
  { judgement, outcome }: Pick<Judged, "judgement" | "outcome">,
  fixes: readonly FoundChange[],
  expected: string | undefined,
  own: readonly Pattern[] = [],
): Suggested[] {
  if (judgement.class === null) return [];
  const outputs =
    expected === undefined || !outcome ? null : { intended: expected, printed: consoleText(outcome.console, ["out"]) };
  return suggestPatterns(evidenceOf(language, text, judgement, fixes, outputs), own);
}
