import { goBackTo } from "../../../server/mend/goBack.ts";
import { done, refused } from "../../actions.ts";
import { field } from "../../forms.ts";
import { defineCaseAction } from "./caseAction.ts";

/** Goes back to an earlier version. */
export const goBack = defineCaseAction({
  intent: "back",
  says: "going back",
  fields: { key: field.text(100) },
  does: async ({ services, found }, change, { key }) => {
    const went = await goBackTo(services, found, change, key);
    if (!went.ok) return refused(went);
    const checks =
      went.checks === 1 ? "a check that was changed since is" : `${went.checks} checks that were changed since are`;
    return done(`This version is the current one again${went.checks > 0 ? `; ${checks} as then` : ""}.`);
  },
});
