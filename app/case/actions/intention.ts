import { sayIntention } from "../../../server/judge/decisions.ts";
import { done, refused } from "../../actions.ts";
import { field } from "../../forms.ts";
import { defineCaseAction } from "./caseAction.ts";

/** What the fix of a layer is meant to do. */
export const intention = defineCaseAction({
  intent: "intention",
  says: "what the fix is meant for",
  fields: { key: field.text(100), intention: field.text(4000) },
  does: async ({ services, found }, change, fields) => {
    const said = await sayIntention(services, found, { ...change, reason: "" }, fields.key, fields.intention);
    return said.ok ? done() : refused(said);
  },
});
