import { tokensAt } from "../reading/tokensAt.ts";
import type { LeadRule } from "./lead.ts";

/** For a refusal with an arrow: where reading failed, and what stands just before it, perhaps on a line above. */
export const arrowToken: LeadRule = ({ verdict, tokens, text }) => {
  const { line, column } = verdict.diagnostic ?? {};
  if (
    verdict.class !== "syntax" ||
    verdict.kind === "meaning" ||
    line === undefined ||
    column === undefined ||
    line !== verdict.reportedLine
  )
    return [];
  const { at, before } = tokensAt(tokens, text, line, column);
  if (!before) return [];
  const here = at ? `Reading failed at “${at.text}”` : "Reading failed here";
  return [
    before.line === line
      ? { line, why: `${here}; just left of it stands “${before.text}”.`, weight: 60 }
      : {
          line: before.line,
          why: `${here} in line ${line}; what comes before it is “${before.text}” in this line.`,
          weight: 76,
        },
  ];
};
