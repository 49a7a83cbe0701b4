import { areSimilar } from "../source/spelling.ts";
import type { LeadRule } from "./lead.ts";

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
