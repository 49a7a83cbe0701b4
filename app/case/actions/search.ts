import { versionOf } from "../../../server/cases/caseStore.ts";
import { judgeVersion } from "../../../server/judge/judge.ts";
import { foundFor, startSearch, stopSearch } from "../../../server/mend/findFixes.ts";
import { tryFix } from "../../../server/mend/tryFix.ts";
import { done, notReached, refused } from "../../actions.ts";
import { field } from "../../forms.ts";
import { defineCaseAction } from "./caseAction.ts";

/** Looks for small changes of the current version, or looks again. */
export const search = defineCaseAction({
  intent: "search",
  says: "",
  fields: {},
  does: async ({ services, found }) => {
    const judged = await judgeVersion(services, found, versionOf(found, found.current_version));
    await startSearch(services, found, judged, true);
    return done();
  },
});

/** Looks for small changes of the current version, if that was not done with these checks. */
export const look = defineCaseAction({
  intent: "look",
  says: "",
  fields: {},
  does: async ({ services, found }) => {
    await startSearch(services, found, await judgeVersion(services, found, versionOf(found, found.current_version)));
    return done();
  },
});

/** Stops looking. */
export const stopSearching = defineCaseAction({
  intent: "stop-search",
  says: "",
  fields: {},
  does: async ({ services, found }) => {
    await stopSearch(services, found.current_version);
    return done("Stopped; what was found so far stays.");
  },
});

/** Takes a change that was found as the fix of the open layer; it is run once more, whole and alone. */
export const takeFix = defineCaseAction({
  intent: "take-fix",
  says: "taking the change that was found",
  fields: { number: field.text(4) },
  does: async ({ services, found }, change, { number }) => {
    const kept = await foundFor(services, found);
    const fix = kept?.fixes[Number(number)];
    if (!kept || !fix)
      return refused("This change is not there any more. Look again, and take one of those that are found.");
    if (kept.outOfDate) return refused("The checks were changed since this change was found. Look again first.");
    const tried = await tryFix(services, found, change, fix.text, false, {
      origin: "mended by a change that was found",
    });
    if (!tried.ok) return refused(tried);
    if (tried.result === "verified")
      return done(
        "All checks pass once more. The fix is verified; that it was found by a search stays written with its version.",
      );
    return tried.result === "next fault" || tried.result === "open"
      ? done("The gate that failed passes now. What is still open is written beside the checks.")
      : notReached("Run once more, whole and alone, it does not pass. Your try is kept under Versions.");
  },
});
