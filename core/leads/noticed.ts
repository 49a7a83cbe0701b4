import type { MessageKind } from "../reading/kinds.ts";
import { ownWarnings } from "../warnings/ownWarning.ts";
import type { LeadRule } from "./lead.ts";

/** What looks otherwise than it is, or is done whatever is asked, is hardly ever meant. */
const hardlyMeant: ReadonlySet<MessageKind> = new Set<MessageKind>(["misleading layout", "suspicious condition"]);

/** What we notice where the translator is silent; like its warnings it decides no class. */
export const noticed: LeadRule = ({ verdict, language, text }) =>
  verdict.class === "syntax"
    ? []
    : ownWarnings(language, text.join("\n"))
        .filter((each) => !each.style)
        .map(({ line, says, kind }) => ({
          ...{ line, why: `Noticed by us, the translator is silent: ${says}` },
          weight: verdict.class === null ? 40 : hardlyMeant.has(kind) ? 92 : 72,
        }))
        .slice(0, 6);
