import * as z from "zod";
import { probeSchema } from "../../../core/narrowing/probes.ts";
import { tryProbes as run } from "../../../server/mend/narrow.ts";
import { deleteTry } from "../../../server/mend/narrowStore.ts";
import { done, refused } from "../../actions.ts";
import { field } from "../../forms.ts";
import { defineCaseAction } from "./caseAction.ts";

/** Runs a copy of the current version with lines switched off and values printed or set; the version stays as it is. */
export const tryProbes = defineCaseAction({
  intent: "narrow",
  says: "",
  fields: { check: field.text(100), probes: field.json(z.array(probeSchema).max(60)), belief: field.text(1000) },
  does: async ({ services, found, who }, _, given) => {
    const tried = await run(services, found, who, given);
    return tried.ok ? done("Tried in a copy; the program is as it was.") : refused(tried);
  },
});

/** Takes a try out of the log. */
export const dropTry = defineCaseAction({
  intent: "drop try",
  says: "",
  fields: { key: field.text(100) },
  does: async ({ services, found }, _, { key }) => {
    await deleteTry(services.database.query, found.key, key);
    return done("Taken out.");
  },
});
