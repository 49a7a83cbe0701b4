import { ownWarnings } from "../warnings/ownWarning.ts";
import type { LeadRule } from "./lead.ts";

/** What we notice where the translator is silent; like its warnings it decides no class. */
export const noticed: LeadRule = ({ verdict, language, text }) =>
  verdict.class === "syntax"
    ? []
    : ownWarnings(language, text.join("\n"))
        .filter((each) => !each.style)
        .map(({ line, says }) => ({
          ...{ line, why: `Noticed by us, the translator is silent: ${says}` },
          weight: verdict.class === null ? 40 : 72,
        }))
        .slice(0, 6);
