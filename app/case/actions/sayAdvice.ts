import { adviceWorths } from "../../../core/cases/case.ts";
import { sayAdvice as say } from "../../../server/judge/decisions.ts";
import { done, refused } from "../../actions.ts";
import { field } from "../../forms.ts";
import { defineCaseAction } from "./caseAction.ts";

/** What the messages about a fault were worth: their advice beside what mends it, and what they do not say. */
export const sayAdvice = defineCaseAction({
  intent: "advice",
  says: "what the messages were worth",
  fields: { layer: field.text(100), advice: field.one(["", ...adviceWorths]), unsaid: field.text(4000) },
  does: async ({ services, found }, change, { layer, advice, unsaid }) => {
    const kept = await say(services, found, { ...change, reason: "" }, layer || null, {
      advice: advice || null,
      unsaid,
    });
    return kept.ok ? done("Kept.") : refused(kept);
  },
});
