import { redirect } from "react-router";
import { z } from "zod";
import { deleteCase, restoreCase } from "../../server/cases/caseStore.ts";
import type { Services } from "../../server/services.ts";
import { defineAction } from "../actions.ts";
import { field } from "../forms.ts";

/** What an action of a list of cases works on; `back` is the list's address. */
type ListContext = { services: Services; back: string };

const schema = z.object({ case: field.text(100) });

/** Puts a case of the list away; the list then offers to take it back. */
const putAway = defineAction<ListContext, z.output<typeof schema>>({
  intent: "delete",
  schema,
  does: async ({ services, back }, { case: key }) => {
    await deleteCase(services.database, key);
    return redirect(`${back}?away=${encodeURIComponent(key)}`);
  },
});

/** Takes a case back that was put away. */
const takeBack = defineAction<ListContext, z.output<typeof schema>>({
  intent: "restore",
  schema,
  does: async ({ services, back }, { case: key }) => {
    await restoreCase(services.database, key);
    return redirect(back);
  },
});

/** Everything that a list of cases can be asked for. */
export const listActions = [putAway, takeBack];
