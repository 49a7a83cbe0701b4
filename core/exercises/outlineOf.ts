import { findLanguage } from "../languages/languages.ts";
import { lineTexts } from "../source/lines.ts";
import type { ExerciseContent } from "./exercise.ts";

/** The lines (1-based) of a program on which something is said to the machine that is more than a bracket or a word of a block. */
export function statementLines(exercise: Pick<ExerciseContent, "language">, program: string): number[] {
  const language = findLanguage(exercise.language);
  const counts = new Map<number, number>();
  for (const token of language?.tokens(program) ?? [])
    if (token.kind !== "comment" && /[\p{L}\p{N}"']/u.test(token.text))
      counts.set(token.line, (counts.get(token.line) ?? 0) + 1);
  return lineTexts(program).flatMap((text, index) => {
    const words = language ? (counts.get(index + 1) ?? 0) : text.trim().length;
    return words > 1 ? [index + 1] : [];
  });
}

/** Some of a list, spread over all of it, in its order. */
export function spreadOver<Item>(items: readonly Item[], count: number): Item[] {
  if (items.length <= count) return [...items];
  return Array.from({ length: count }, (_, index) => items[Math.floor(((index + 0.5) * items.length) / count)] as Item);
}
