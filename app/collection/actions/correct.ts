import * as z from "zod";
import type { Corrections } from "../../../core/collecting/arrange.ts";
import { type Collection, correctCollection } from "../../../server/collect/collectionStore.ts";
import { setWrittenFor } from "../../../server/collect/judging.ts";
import type { Services } from "../../../server/services.ts";
import { defineAction, done, refused } from "../../actions.ts";
import { field } from "../../forms.ts";

/** What an action of a set's page works on. */
export type CollectionContext = { services: Services; collection: Collection };

const schema = z.object({
  field: field.one(["rule", "students", "languages", "pairs", "left"]),
  id: field.text(500),
  value: field.text(500),
});
type Given = z.output<typeof schema>;

/** The corrections with one more. A new rule is meant for all rows, also for those corrected under another one. */
function corrected(before: Corrections, given: Given): Corrections {
  if (given.field === "rule") return { ...before, rule: given.value, students: {} };
  if (given.field === "left") return { ...before, left: { ...before.left, [given.id]: given.value === "yes" } };
  return { ...before, [given.field]: { ...before[given.field], [given.id]: given.value } };
}

/** Corrects a row of the table, or the rule by which students are found. */
export const correct = defineAction<CollectionContext, Given>({
  intent: "correct",
  schema,
  does: async ({ services, collection }, given) => {
    await correctCollection(services.database, collection.key, corrected(collection.corrections, given));
    return done();
  },
});

/** Says which assignment the programs of the set were written for. */
export const writtenFor = defineAction<CollectionContext, { key: string }>({
  intent: "assignment",
  schema: z.object({ key: field.text(100) }),
  does: async ({ services, collection }, { key }) =>
    (await setWrittenFor(services, collection, key === "" ? null : key))
      ? done()
      : refused("This assignment is none of the set's course. Nothing was changed."),
});
