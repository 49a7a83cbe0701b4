import * as z from "zod";
import { decideForAll } from "../../../server/marks/moderation.ts";
import type { Who } from "../../../server/people/teacherStore.ts";
import type { Services } from "../../../server/services.ts";
import { defineAction, done, refused } from "../../actions.ts";
import { field } from "../../forms.ts";

/** What an action on all answers to one task works on. */
export type AnswersContext = { services: Services; who: Who; sheet: string; task: string };

const schema = z.object({
  group: field.text(100),
  item: field.text(200),
  earned: field.decimal(0, 100),
  reason: field.text(4000),
});

/** Gives an item of all answers that say the same its mark. */
export const decide = defineAction<AnswersContext, z.output<typeof schema>>({
  intent: "decide",
  schema,
  does: async ({ services, who, sheet, task }, given) => {
    const decided = await decideForAll(services, who, { ...given, sheet, task });
    if (!decided.ok) return refused(decided.message);
    return done(`${decided.students} ${decided.students === 1 ? "student has" : "students have"} it now.`);
  },
});
