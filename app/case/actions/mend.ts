import type { KeptVerdict } from "../../../core/cases/case.ts";
import type { FaultRelation } from "../../../core/fixes/compareFaults.ts";
import { placeWords } from "../../../core/verdict/words.ts";
import { tryFix } from "../../../server/mend/tryFix.ts";
import { done, notReached, refused } from "../../actions.ts";
import { field } from "../../forms.ts";
import { defineCaseAction } from "./caseAction.ts";

const words = {
  verified: "All checks pass. The fix is verified, and the runs are kept as proof.",
  "next fault": "The gate that failed passes now. The next fault shows: it is the next layer.",
  "not mended": "Your try is kept under Versions; go on editing, or keep it as one mended fault of several.",
  open: "The gate that failed passes now. What is still open is written beside the checks.",
  "no change": "Nothing was changed yet.",
  "nothing to mend":
    "No check shows a fault in this version, so there is nothing to mend. If you know of one, add a check that shows it, under Checks.",
} as const;

const relations: Readonly<Record<FaultRelation, string>> = {
  gone: "The fault does not show any more",
  "same error": "The same error still shows",
  "same error on another line": "The same error shows on another line",
  "another error": "Another error shows",
  "does not start any more": "The changed program does not start any more",
};

/** What a changed program shows, in one sentence: how it is to the fault before, and what the tool or the run says. */
function showsWords(
  shows:
    | ({ relation: FaultRelation } & Pick<KeptVerdict, "message" | "reportedLine" | "reportedFile" | "reasons">)
    | undefined,
): string {
  if (!shows || shows.relation === "gone") return "";
  const said = shows.message ? shows.message.split("\n")[0] : shows.reasons.at(-1);
  const place = shows.reportedLine ? `${placeWords(shows.reportedLine, shows.reportedFile)}, ` : "";
  const sentence = `${relations[shows.relation]}: ${place}${said ?? ""}`;
  return /[.?!]$/.test(sentence) ? `${sentence} ` : `${sentence}. `;
}

/** Tries an edited copy. `more` is "keep" where the try may be kept as one mended fault of several. */
export const mend = defineCaseAction({
  intent: "mend",
  says: "the change",
  fields: { text: field.text(), force: field.ticked(), belief: field.text(1000) },
  does: async ({ services, found }, change, { text, force, belief }) => {
    const tried = await tryFix(services, found, change, text, force, { belief });
    if (!tried.ok) return refused(tried);
    const extra =
      tried.extra.length === 0
        ? ""
        : ` The change at line ${tried.extra.join(" and ")} is not needed for this fix: it is kept as an extra, and no line of it is called faulty.`;
    if (tried.result === "not mended") return notReached(showsWords(tried.shows) + words[tried.result], "keep");
    const next = tried.result === "next fault" ? ` ${showsWords(tried.shows).trim()}` : "";
    const said = words[tried.result] + next + extra;
    return tried.result === "no change" || tried.result === "nothing to mend" ? notReached(said) : done(said);
  },
});
