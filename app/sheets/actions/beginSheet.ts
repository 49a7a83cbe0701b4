import { redirect } from "react-router";
import * as z from "zod";
import type { Services } from "../../../server/services.ts";
import { addSheet } from "../../../server/sheets/sheetStore.ts";
import { defineAction, refused } from "../../actions.ts";
import { field } from "../../forms.ts";

const schema = z.object({ title: field.text(200), course: field.text(100) });

/** Begins a sheet for a course. */
export const beginSheet = defineAction<{ services: Services }, z.output<typeof schema>>({
  intent: "begin",
  schema,
  does: async ({ services }, given) => {
    const title = given.title.trim();
    if (title === "" || given.course === "") return refused("A sheet needs a title and a course.");
    return redirect(`/sheets/${await addSheet(services.database, given.course, title)}`);
  },
});
