import { foundFor } from "../../../server/mend/findFixes.ts";
import { changeKeptFix, keepFix } from "../../../server/mend/keptFixes.ts";
import { done, refused } from "../../actions.ts";
import { field } from "../../forms.ts";
import { defineCaseAction } from "./caseAction.ts";

/** Keeps a change that was found as one of the acceptable fixes, with what it is meant for. */
export const keepAnother = defineCaseAction({
  intent: "keep-fix",
  says: "keeping the fix",
  fields: { number: field.text(4), intention: field.text(1000) },
  does: async ({ services, found }, change, { number, intention }) => {
    const fix = (await foundFor(services, found))?.fixes[Number(number)];
    if (!fix) return refused("This change is not there any more. Look again, and keep one of those that are found.");
    const kept = await keepFix(services, found, { ...change, reason: "" }, { text: fix.text, intention });
    return kept.ok ? done("Kept among the fixes that you accept.") : refused(kept);
  },
});

/** Prefers one of the acceptable fixes, or leaves it out. */
export const changeFix = defineCaseAction({
  intent: "kept-fix",
  says: "the choice among the fixes",
  fields: { key: field.text(100), what: field.one(["prefer", "leave"]) },
  does: async ({ services, found }, change, { key, what }) => {
    const changed = await changeKeptFix(services, found, { ...change, reason: "" }, key, what);
    return changed.ok ? done() : refused(changed);
  },
});
