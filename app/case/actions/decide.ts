import { decideClass } from "../../../server/judge/decisions.ts";
import { done, refused } from "../../actions.ts";
import { field } from "../../forms.ts";
import { defineCaseAction } from "./caseAction.ts";

/** The teacher's verdict on the fault that is being worked on. */
export const decide = defineCaseAction({
  intent: "decide",
  says: "the verdict",
  fields: {
    class: field.one(["syntax", "runtime", "logic", "no fault", "stops on purpose"]),
    kind: field.one(["form", "meaning", ""]).optional(),
    reason: field.text(4000),
  },
  does: async ({ services, found }, change, fields) => {
    const { class: chosen, kind, reason } = fields;
    const decision =
      chosen === "no fault" || chosen === "stops on purpose"
        ? { outcome: chosen, class: null }
        : { outcome: "fault" as const, class: chosen };
    const decided = await decideClass(services, found, change, { ...decision, kind: kind || null, reason });
    return decided.ok ? done("Verdict kept.") : refused(decided);
  },
});
