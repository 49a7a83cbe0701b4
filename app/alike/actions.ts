import * as z from "zod";
import { findCase } from "../../server/cases/caseStore.ts";
import { undoLast } from "../../server/cases/undo.ts";
import { decideGroup } from "../../server/judge/caseGroups.ts";
import { newKey } from "../../server/keys.ts";
import type { Who } from "../../server/people/teacherStore.ts";
import type { Services } from "../../server/services.ts";
import { defineAction, done, notReached, type PageAction, refused } from "../actions.ts";
import { field } from "../forms.ts";

/** What an action of the page works on. */
export type AlikeContext = { services: Services; who: Who };

const counted = (count: number) => `${count} ${count === 1 ? "case" : "cases"}`;

/** One decision for every ticked case of a group. */
const decide = defineAction({
  intent: "decide",
  schema: z.object({
    class: field.one(["syntax", "runtime", "logic"]),
    reason: field.text(2000),
    cases: field.list().pipe(z.array(z.string().regex(/^[\w-]{1,100} \d{1,9}$/)).max(500)),
  }),
  does: async ({ services, who }: AlikeContext, given) => {
    if (given.cases.length === 0) return refused("No case is ticked. Nothing was changed.");
    const members = given.cases.map((each) => {
      const [key = "", revision] = each.split(" ");
      return { key, revision: Number(revision) };
    });
    const press = { key: newKey(), says: `one decision for ${counted(members.length)}` };
    const { decided, left } = await decideGroup(services, { who, press }, members, given);
    const reasons = left.map(({ title, message }) => `${title}: ${message}`).join(" ");
    if (decided.length === 0) return refused(`Nothing was changed. ${reasons}`);
    if (left.length > 0) return notReached(`Decided: ${counted(decided.length)}. Left: ${reasons}`, decided[0]);
    return done(`Decided: ${counted(decided.length)}.`, decided[0]);
  },
});

/** Takes back what one press decided, by one of its cases. */
const undo = defineAction({
  intent: "undo",
  schema: z.object({ case: field.text(100) }),
  does: async ({ services, who }: AlikeContext, given) => {
    const found = await findCase(services.database, given.case);
    if (!found) return refused("This case is not there any more.");
    const change = { who, revision: found.revision, press: { key: newKey(), says: "an undoing" } };
    const undone = await undoLast(services, found, change);
    return undone.ok ? done(`Undone: ${counted(undone.cases ?? 1)}.`) : refused(undone);
  },
});

/** Everything that the page of groups can be asked for. */
export const alikeActions: ReadonlyArray<PageAction<AlikeContext>> = [decide, undo];
