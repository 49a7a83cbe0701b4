import type { LeadRule } from "./lead.ts";

/**
 * True when two names differ in letter case only, or by one letter put in, left out, changed or swapped with its
 * neighbour.
 */
export function areSimilar(one: string, other: string): boolean {
  if (one === other) return false;
  if (one.toLowerCase() === other.toLowerCase()) return true;
  const [short, long] = one.length <= other.length ? [one, other] : [other, one];
  if (long.length < 3 || long.length - short.length > 1) return false;
  let start = 0;
  while (start < short.length && short[start] === long[start]) start++;
  if (short.length < long.length) return short.slice(start) === long.slice(start + 1);
  if (short.slice(start + 1) === long.slice(start + 1)) return true;
  return (
    short[start] === long[start + 1] &&
    short[start + 1] === long[start] &&
    short.slice(start + 2) === long.slice(start + 2)
  );
}

/** An unknown name that looks like a known one: the spelling may be wrong here or there. */
export const similarNames: LeadRule = ({ verdict, codeLines, language }) => {
  const name = verdict.diagnostic ? language.unknownName(verdict.diagnostic) : null;
  if (!name || (verdict.class !== "runtime" && verdict.class !== "syntax")) return [];
  return [...codeLines.entries()].flatMap(([line, tokens]) =>
    language
      .assignedNames(tokens)
      .filter((candidate) => areSimilar(candidate, name))
      .map((candidate) => ({ line, why: `“${candidate}” is defined here; “${name}” looks like it.`, weight: 75 })),
  );
};
