import * as z from "zod";
import { listMarks } from "../../../server/marks/markStore.ts";
import { overrule } from "../../../server/marks/overrule.ts";
import type { Who } from "../../../server/people/teacherStore.ts";
import type { Services } from "../../../server/services.ts";
import { defineAction, done, refused } from "../../actions.ts";
import { field } from "../../forms.ts";

/** What an action on a sitting's marks works on: the sitting's key, and who marks. */
export type SittingContext = { services: Services; who: Who; sitting: string };

const schema = z.object({
  task: field.text(100),
  item: field.text(200),
  earned: field.decimal(0, 100),
  reason: field.text(4000),
});

/** Gives the mark of an item, or overrules one that the program gave. */
export const give = defineAction<SittingContext, z.output<typeof schema>>({
  intent: "give",
  schema,
  does: async ({ services, who, sitting }, { task, item, earned, reason }) => {
    const marks = await listMarks(services.database, [sitting]);
    const mark = marks.find((each) => each.task === task && each.item === item);
    if (!mark) return refused("There is no such mark.");
    const given = await overrule(services, mark, who, earned, reason);
    return given.ok ? done() : refused(given.message);
  },
});
