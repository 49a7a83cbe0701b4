import { addPartCheck, tryParts as run } from "../../../server/mend/partPlan.ts";
import { deletePartCheck } from "../../../server/mend/partStore.ts";
import { done, refused } from "../../actions.ts";
import { field } from "../../forms.ts";
import { defineCaseAction } from "./caseAction.ts";

/** Adds a check of a part to the plan, and tries it. */
export const addPart = defineCaseAction({
  intent: "add part",
  says: "",
  fields: { part: field.text(200), expression: field.text(400), expected: field.text(2000) },
  does: async ({ services, found }, _, given) => {
    const added = await addPartCheck(services, found, given);
    if (!added.ok) return refused(added);
    const tried = await run(services, found);
    return tried.ok ? done("Added and tried.") : refused(tried);
  },
});

/** Takes a check out of the plan. */
export const dropPart = defineCaseAction({
  intent: "drop part",
  says: "",
  fields: { key: field.text(100) },
  does: async ({ services, found }, _, { key }) => {
    await deletePartCheck(services.database.query, found.key, key);
    return done("Taken out of the plan.");
  },
});

/** Tries all checks of the plan on the current version. */
export const tryParts = defineCaseAction({
  intent: "try parts",
  says: "",
  fields: {},
  does: async ({ services, found }) => {
    const tried = await run(services, found);
    return tried.ok ? done("Every part was tried.") : refused(tried);
  },
});
