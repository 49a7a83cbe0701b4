import { takeChecks } from "../../../server/classwork/exchange.ts";
import { readUpload } from "../../../server/collect/readUpload.ts";
import { done, refused } from "../../actions.ts";
import { entriesOfFiles } from "../../collect/entriesOfForm.ts";
import { field } from "../../forms.ts";
import { defineAssignmentAction } from "./assignmentAction.ts";

/** Adds the checks that chosen files hold: NAME.in with NAME.out, a zip of such, or an assignment.json. */
export const takeFiles = defineAssignmentAction({
  intent: "take files",
  fields: { file: field.files() },
  does: async ({ services, assignment }, change, { file }) => {
    const read = await readUpload(await entriesOfFiles(file));
    if (!read.ok) return refused(read.message);
    const { checks } = read.assignment;
    if (checks.length === 0) return refused("There are no checks in it. Nothing was added.");
    const taken = await takeChecks(services, assignment.key, { ...change, reason: "taken from files" }, checks);
    if (!taken.ok) return refused(taken);
    const left = read.leftOut.length > 0 ? ` Not known and left out: ${read.leftOut.slice(0, 8).join(", ")}.` : "";
    return done(`${checks.length} added.${left}`);
  },
});
