import * as z from "zod";
import type { Desk } from "../../server/sandbox/desk.ts";
import { act, defineAction, done, notReached } from "../actions.ts";
import { field } from "../forms.ts";
import type { Route } from "./+types/runs.ts";
import type { RunShown } from "./runShown.ts";

/** The runs that wait or go on in the name of whoever asks; nobody sees another's. */
export function loader({ context }: Route.LoaderArgs): { runs: RunShown[] } {
  const now = Date.now();
  const runs = context.services.toolchains.desk.list();
  return {
    runs: runs.map(({ id, what, state, since, before }) => ({
      ...{ id, what, state, before },
      seconds: Math.max(0, Math.round((now - since) / 1000)),
    })),
  };
}

/** Stops a run of whoever asks. */
const stop = defineAction<Desk, { id: string }>({
  intent: "stop",
  schema: z.object({ id: field.text(100) }),
  does: async (desk, { id }) => (desk.stop(id) ? done() : notReached("This run has ended already.")),
});

export async function action({ request, context }: Route.ActionArgs) {
  return act([stop], request, context.services.toolchains.desk);
}
