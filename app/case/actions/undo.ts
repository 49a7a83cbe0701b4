import { undoLast } from "../../../server/cases/undo.ts";
import { done, refused } from "../../actions.ts";
import { defineCaseAction } from "./caseAction.ts";

/** Undoes what was done last. */
export const undo = defineCaseAction({
  intent: "undo",
  says: "an undoing",
  fields: {},
  does: async ({ services, found }, change) => {
    const undone = await undoLast(services, found, change);
    if (!undone.ok) return refused(undone);
    const others = (undone.cases ?? 1) > 1 ? ` So are ${(undone.cases ?? 1) - 1} other cases of the same press.` : "";
    return done(`Undone.${others} Press again to have it back.`);
  },
});
