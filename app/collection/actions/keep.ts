import { redirect } from "react-router";
import * as z from "zod";
import { dropCollection } from "../../../server/collect/collectionStore.ts";
import { keepCollection } from "../../../server/collect/collections.ts";
import { startJudging } from "../../../server/collect/judging.ts";
import { defineAction } from "../../actions.ts";
import type { CollectionContext } from "./correct.ts";

/** Takes the set in and has it judged. */
export const keep = defineAction<CollectionContext, unknown>({
  intent: "keep",
  schema: z.unknown(),
  does: async ({ services, collection }) => {
    const cases = await keepCollection(services.database, collection);
    if (cases) await startJudging(services, collection.key, cases);
    return redirect(`/collect/${collection.key}`);
  },
});

/** Puts the set away; nothing of it has become a case. */
export const drop = defineAction<CollectionContext, unknown>({
  intent: "drop",
  schema: z.unknown(),
  does: async ({ services, collection }) => {
    await dropCollection(services.database, collection.key);
    return redirect("/collect");
  },
});
