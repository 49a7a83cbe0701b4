import { redirect } from "react-router";
import * as z from "zod";
import { readSheetFile } from "../../../core/formats/sheetContent.ts";
import { findCourse } from "../../../server/people/courseStore.ts";
import type { Services } from "../../../server/services.ts";
import { takeSheet } from "../../../server/sheets/takeSheet.ts";
import { defineAction, refused } from "../../actions.ts";
import { field } from "../../forms.ts";

/** Largest file of a sheet, in bytes. */
const largest = 10 * 1024 * 1024;

const schema = z.object({ file: field.files(), course: field.text(100) });

/** Takes in a sheet that another Bent Nail has written, as a draft. */
export const takeSheetIn = defineAction<{ services: Services }, z.output<typeof schema>>({
  intent: "take",
  schema,
  does: async ({ services }, { file: [file], course }) => {
    if (!file) return refused("Choose the file of a sheet.");
    if (file.size > largest) return refused("It is larger than 10 MB; no sheet is.");
    if (!(await findCourse(services.database, course))) return refused("There is no such course.");
    const read = readSheetFile(await file.text());
    return read.ok
      ? redirect(`/sheets/${await takeSheet(services.database, course, read.sheet)}`)
      : refused(read.message);
  },
});
