import * as z from "zod";
import { affectedBy, changeRules } from "../../../server/marks/schemeRules.ts";
import { defineAction, done, refused } from "../../actions.ts";
import { field } from "../../forms.ts";
import type { AnswersContext } from "./decide.ts";

/** The rules of a form: its fields whose names begin so. */
const rulesIn = (given: Readonly<Record<string, unknown>>): Record<string, number> | null => {
  const rules: Record<string, number> = {};
  for (const [name, values] of Object.entries(given)) {
    if (!name.startsWith("rule ")) continue;
    const value = field.whole(0, 1000).safeParse(values);
    if (!value.success) return null;
    rules[name.slice("rule ".length)] = value.data;
  }
  return rules;
};

const fields = z.looseObject({ reason: field.text(2000) });
const unread = "The rules are whole numbers. Nothing was changed.";

/** Says whose marks other rules would change, before anything is changed. */
export const tryRules = defineAction<AnswersContext, z.output<typeof fields>>({
  intent: "try rules",
  schema: fields,
  does: async ({ services, sheet, task }, given) => {
    const rules = rulesIn(given);
    if (!rules) return refused(unread);
    const affected = await affectedBy(services, sheet, task, rules);
    if (!affected) return refused("There is no such task any more.");
    if (affected.length === 0) return done("Nobody’s marks would change by these rules.");
    const words = affected.map(({ labels, item, before, after }) => {
      const whose = `${labels.slice(0, 12).join(", ")}${labels.length > 12 ? ` and ${labels.length - 12} more` : ""}`;
      return `${whose}: ${item} ${before ?? "waits"} → ${after ?? "waits"}`;
    });
    return done(`Not changed yet. These rules would change ${words.join("; ")}.`);
  },
});

/** Keeps other rules and marks the sittings anew by them. */
export const keepRules = defineAction<AnswersContext, z.output<typeof fields>>({
  intent: "keep rules",
  schema: fields,
  does: async ({ services, sheet, task }, given) => {
    const rules = rulesIn(given);
    if (!rules) return refused(unread);
    if (given.reason.trim() === "")
      return refused("Say why the rules change; it stays with them. Nothing was changed.");
    const changed = await changeRules(services, { sheet, task, rules, reason: given.reason.trim() });
    return changed.ok
      ? done(
          `${changed.sittings} sittings are marked anew by these rules. Former marks are kept, and those that you gave stay.`,
        )
      : refused(changed.message);
  },
});
