import { findPattern } from "../../../core/patterns/patterns.ts";
import { findOwnPattern } from "../../../server/cases/ownPatternStore.ts";
import { sayPattern as say } from "../../../server/judge/decisions.ts";
import { done, refused } from "../../actions.ts";
import { field } from "../../forms.ts";
import { defineCaseAction } from "./caseAction.ts";

/** Which kind of mistake a fault is; "" goes by the evidence. */
export const sayPattern = defineCaseAction({
  intent: "pattern",
  says: "the kind of mistake",
  fields: { layer: field.text(100), pattern: field.text(120) },
  does: async ({ services, found }, change, { layer, pattern }) => {
    const own = /^own\/(.+)$/.exec(pattern)?.[1];
    const isKnown =
      pattern === "" ||
      findPattern(pattern) !== undefined ||
      (own !== undefined && (await findOwnPattern(services.database.query, own)) !== null);
    if (!isKnown) return refused({ ok: false, message: "This kind of mistake is not known. Choose one of the list." });
    const kept = await say(services, found, { ...change, reason: "" }, layer || null, pattern || null);
    return kept.ok ? done("Kept.") : refused(kept);
  },
});
