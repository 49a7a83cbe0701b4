import { goBackTo } from "../../../server/mend/goBack.ts";
import { done, refused } from "../../actions.ts";
import { field } from "../../forms.ts";
import { defineCaseAction } from "./caseAction.ts";

/** Goes back to an earlier version. */
export const goBack = defineCaseAction({
  intent: "back",
  fields: { key: field.text(100) },
  does: async ({ services, found }, change, { key }) => {
    const went = await goBackTo(services, found, change, key);
    return went.ok
      ? done("This version is the current one again; checks that were changed since are as they were then.")
      : refused(went);
  },
});
