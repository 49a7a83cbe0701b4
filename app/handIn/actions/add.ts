import * as z from "zod";
import { addToHandIn } from "../../../server/collect/handIn.ts";
import type { Services } from "../../../server/services.ts";
import { defineAction, done, refused } from "../../actions.ts";
import { field } from "../../forms.ts";

const schema = z.object({ words: field.text(), output: field.text() });

/** Adds words or another output to what was handed in. `more` is the time, so that a page can tell two from one. */
export const add = defineAction<{ services: Services; key: string }, z.output<typeof schema>>({
  intent: "add",
  schema,
  does: async ({ services, key }, given) => {
    const problem = await addToHandIn(services, key, given);
    return problem === null ? done("Added. Your teacher sees it with the rest.", String(Date.now())) : refused(problem);
  },
});
