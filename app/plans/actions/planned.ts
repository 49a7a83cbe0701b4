import * as z from "zod";
import { levelOf } from "../../../core/exercises/level.ts";
import { keepPlan, type Plan } from "../../../server/exercises/planStore.ts";
import { startTwins } from "../../../server/exercises/planWork.ts";
import { remake } from "../../../server/exercises/remake.ts";
import type { Services } from "../../../server/services.ts";
import { defineAction, done, refused } from "../../actions.ts";
import { field } from "../../forms.ts";

type Context = { services: Services; plan: Plan };
const fields = z.object({ index: field.whole(0, 100), program: field.text(200_000) });

/** A planned exercise whose program was changed by hand: it is run and proven again, and says what speaks against it. */
export const proveAgain = defineAction<Context, z.output<typeof fields>>({
  intent: "prove",
  schema: fields,
  does: async ({ services, plan }, { index, program }) => {
    const planned = plan.planned[index];
    if (!planned || plan.state === "waiting") return refused("There is no such exercise now. Nothing was changed.");
    if (program.trim() === "") return refused("There is no program. Nothing was changed.");
    const { content, reasons } = await remake(services, planned.content, { program });
    const level = levelOf(content);
    // What could not be asked of a program that is not right yet is asked again when it is.
    const tasks = reasons.length > 0 ? planned.content.tasks : content.tasks;
    const changed = {
      ...{
        ...planned,
        content: { ...content, tasks },
        reasons,
        level: level.level,
        why: level.reasons.map((reason) => reason.words),
      },
      twin: undefined,
    };
    const all = plan.planned.map((each, at) => (at === index ? changed : each));
    await keepPlan(services.database, plan.key, { planned: all, said: plan.said, seconds: plan.seconds });
    return reasons.length > 0
      ? refused(`${planned.title} was run again, and cannot be set as it is: ${reasons.join(" ")}`)
      : done(`${planned.title} was run again and is proven.`);
  },
});

const twinFields = z.object({ seed: field.whole(0, 1_000_000) });

/** Begins to make an equal exercise of each, in another scene. */
export const makeTwins = defineAction<Context, z.output<typeof twinFields>>({
  intent: "twins",
  schema: twinFields,
  does: async ({ services, plan }, { seed }) => {
    if (plan.state === "waiting") return refused("This plan is being worked on.");
    await startTwins(services, plan, seed);
    return done("Equal ones are being made.");
  },
});
