import * as z from "zod";
import { sittingsToMarkAgain } from "../../../server/marks/marking.ts";
import { markBehind } from "../../../server/marks/markingWork.ts";
import type { Services } from "../../../server/services.ts";
import { findSitting } from "../../../server/sittings/sittingStore.ts";
import { defineAction, done, refused } from "../../actions.ts";
import type { SittingContext } from "./give.ts";

/** Marks one sitting again; marks that a teacher gave stay. */
export const markAgain = defineAction<SittingContext, unknown>({
  intent: "mark again",
  schema: z.unknown(),
  does: async ({ services, sitting: key }) => {
    const sitting = await findSitting(services.database, key);
    if (!sitting?.handed_in_at) return refused("This is not handed in yet.");
    await markBehind(services, [sitting]);
    return done("It is marked again. Marks that you gave stay.");
  },
});

/** Marks all of a sheet again that has no marks yet, or has some that wait; marks that a teacher gave stay. */
export const markSheetAgain = defineAction<{ services: Services; sheet: string }, unknown>({
  intent: "mark again",
  schema: z.unknown(),
  does: async ({ services, sheet }) => {
    await markBehind(services, await sittingsToMarkAgain(services, sheet));
    return done();
  },
});
