import type { LeadRule } from "./lead.ts";

/** Where no fault is shown: calls by which another run of the same program may give another result. */
export const chance: LeadRule = ({ verdict, language, codeLines }) =>
  verdict.class !== null
    ? []
    : [...codeLines]
        .flatMap(([line, tokens]) => {
          const found = tokens.find(
            (token, index) =>
              token.kind === "name" &&
              language.chanceWords.has(token.text) &&
              !(tokens[0]?.text === "import" || tokens[0]?.text === "from") &&
              tokens[index + 1]?.text !== "=",
          );
          return found
            ? [
                {
                  line,
                  why: `“${found.text}” draws on chance, the clock or an address: another run may give another result.`,
                  weight: 25,
                },
              ]
            : [];
        })
        .slice(0, 4);
