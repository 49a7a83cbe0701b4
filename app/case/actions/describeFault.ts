import { describeFault as keep } from "../../../server/judge/decisions.ts";
import { done, refused } from "../../actions.ts";
import { field } from "../../forms.ts";
import { defineCaseAction } from "./caseAction.ts";

/** What a fault is in words, where it lies and why it is not where the tool said. */
export const describeFault = defineCaseAction({
  intent: "describe fault",
  says: "the words of the fault",
  fields: {
    layer: field.text(100),
    place: field.one(["lines", "after the line", "outside"]),
    placeReason: field.text(4000),
    explanation: field.text(20_000),
  },
  does: async ({ services, found }, change, { layer, ...words }) => {
    const kept = await keep(services, found, { ...change, reason: "" }, layer || null, words);
    return kept.ok ? done("Kept.") : refused(kept);
  },
});
