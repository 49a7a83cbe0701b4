import { switchPart } from "../../../server/mend/switchPart.ts";
import { done, refused } from "../../actions.ts";
import { field } from "../../forms.ts";
import { defineCaseAction } from "./caseAction.ts";

const line = () => field.whole(1, 10_000_000);

/** Switches lines on that were commented out, as a version of its own. */
export const switchOn = defineCaseAction({
  intent: "switch",
  says: "switching the part on",
  fields: { from: line(), to: line(), alone: field.ticked() },
  does: async ({ services, found }, change, { from, to, alone }) => {
    const switched = await switchPart(services, found, change, from, to, alone);
    return switched.ok ? done("Switched on, as a version of its own.") : refused(switched);
  },
});
