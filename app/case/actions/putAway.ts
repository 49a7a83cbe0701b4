import { redirect } from "react-router";
import * as z from "zod";
import { deleteCase, restoreCase } from "../../../server/cases/caseStore.ts";
import { defineAction, done } from "../../actions.ts";
import type { CaseContext } from "./caseAction.ts";

/** Puts the case away; the page it leads to offers to take it back. */
export const putAway = defineAction<CaseContext, unknown>({
  intent: "delete",
  schema: z.unknown(),
  does: async ({ services, found }) => {
    await deleteCase(services.database, found.key);
    return redirect(`/?away=${found.key}`);
  },
});

/** Takes a case back that was put away. */
export const takeBack = defineAction<CaseContext, unknown>({
  intent: "restore",
  schema: z.unknown(),
  does: async ({ services, found }) => {
    await restoreCase(services.database, found.key);
    return done();
  },
});
