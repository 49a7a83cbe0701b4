import { readHandTable } from "../../../core/trace/handTable.ts";
import { describeCase } from "../../../server/cases/describe.ts";
import { done, refused } from "../../actions.ts";
import { field } from "../../forms.ts";
import { defineCaseAction } from "./caseAction.ts";

/** A trace table that the teacher writes; an empty one takes it away. */
export const handTable = defineCaseAction({
  intent: "hand table",
  says: "the table",
  fields: { table: field.text(50_000) },
  does: async ({ services, found }, change, { table }) => {
    const read = table.trim() === "" ? null : readHandTable(table);
    if (read && !read.ok) return refused(`${read.message} Nothing was kept yet.`);
    const text = { yours: table, theirs: (now: { hand_table: string }) => now.hand_table };
    const kept = await describeCase(services.database, found, { ...change, reason: "", text }, { hand_table: table });
    return kept.ok ? done("Kept.") : refused(kept);
  },
});
