import { causes, dependences, moments } from "../../../core/verdict/fields.ts";
import { sayFields as say } from "../../../server/judge/decisions.ts";
import { done, refused } from "../../actions.ts";
import { field } from "../../forms.ts";
import { defineCaseAction } from "./caseAction.ts";

/** Where a fault comes from, when it is noticed and on what it depends; "" goes by the evidence. */
export const sayFields = defineCaseAction({
  intent: "fields",
  says: "the cause, the moment and what it depends on",
  fields: {
    layer: field.text(100),
    cause: field.one(["", ...causes]),
    moment: field.one(["", ...moments]),
    depends: field.one(["", ...dependences]),
  },
  does: async ({ services, found }, change, { layer, cause, moment, depends }) => {
    const fields = { cause: cause || null, moment: moment || null, depends: depends || null };
    const kept = await say(services, found, { ...change, reason: "" }, layer || null, fields);
    return kept.ok ? done("Kept.") : refused(kept);
  },
});
