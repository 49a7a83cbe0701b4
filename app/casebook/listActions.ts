import { redirect } from "react-router";
import * as z from "zod";
import { takeBundle } from "../../server/casebook/bundles.ts";
import { deleteCase, restoreCase } from "../../server/cases/caseStore.ts";
import type { Services } from "../../server/services.ts";
import { defineAction, done, refused } from "../actions.ts";
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

const bundleSchema = z.object({ bundle: field.files(), course: field.text(100) });

/** Takes a bundle of another Bent Nail in. */
const takeIn = defineAction<ListContext, z.output<typeof bundleSchema>>({
  intent: "take-in",
  schema: bundleSchema,
  does: async ({ services }, { bundle, course }) => {
    const [file] = bundle;
    if (!file) return refused("Choose the bundle first: a zip that another Bent Nail has made.");
    const taken = await takeBundle(services, Buffer.from(await file.arrayBuffer()), course || null);
    if (!taken.ok) return refused(taken.message);
    const { cases, skipped, withoutStudent } = taken.imported;
    const also = [
      withoutStudent > 0 ? `${withoutStudent} belong to students who are not in this course.` : "",
      skipped.length > 0 ? `Left out, since this version does not know it: ${skipped.join(", ")}.` : "",
    ];
    return done(
      [`Taken in: ${cases.length} case${cases.length === 1 ? "" : "s"}.`, ...also].filter((words) => words).join(" "),
    );
  },
});

/** Everything that a list of cases can be asked for. */
export const listActions = [putAway, takeBack, takeIn];
