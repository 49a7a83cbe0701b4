import * as z from "zod";
import { openAgain } from "../../../server/marks/afterCollecting.ts";
import { closeSheet } from "../../../server/marks/markingWork.ts";
import { listMarks } from "../../../server/marks/markStore.ts";
import { setForStudents } from "../../../server/sheets/setSheet.ts";
import { releaseMarks } from "../../../server/sheets/sheetStore.ts";
import { listSittings } from "../../../server/sittings/sittingStore.ts";
import { defineAction, done, incomplete, refused, type Said } from "../../actions.ts";
import { field } from "../../forms.ts";
import type { SheetContext } from "./sheetAction.ts";

const state = (intent: string, does: (context: SheetContext) => Promise<Said>) =>
  defineAction<SheetContext, unknown>({ intent, schema: z.unknown(), does });

/** Freezes the sheet and opens it for students; `noNames` says that words that look like names are none. */
export const set = defineAction<SheetContext, { noNames: boolean }>({
  intent: "set",
  schema: z.object({ noNames: field.ticked() }),
  does: async ({ services, sheet }, { noNames }) => {
    const given = await setForStudents(services, sheet, noNames);
    if (given.ok) return done("It is set. Students can begin.");
    return given.names ? incomplete({ names: given.message }) : refused(given.message);
  },
});

/** Closes the sheet; what students had saved is handed in. */
export const close = state("close", async ({ services, sheet }) => {
  await closeSheet(services, sheet);
  return done("It is closed. What students had saved is handed in and being marked.");
});

/** Opens a closed sheet again. */
export const open = state("open", async ({ services, sheet }) => {
  await openAgain(services, sheet);
  return done("It is open again for students who have not handed in.");
});

/** Lets students see their marks. */
export const release = state("release", async ({ services, sheet }) => {
  await releaseMarks(services.database, sheet.key, true);
  const sittings = (await listSittings(services.database, sheet.key)).filter((each) => each.handed_in_at !== null);
  const marks = await listMarks(
    services.database,
    sittings.map(({ key }) => key),
  );
  const waiting = marks.filter((mark) => mark.earned === null).length;
  const open = waiting === 1 ? "1 answer still waits" : `${waiting} answers still wait`;
  return done(`Students see their marks now.${waiting > 0 ? ` ${open} for you; students read that they do.` : ""}`);
});

/** Takes the marks back from students' sight. */
export const holdBack = state("hold back", async ({ services, sheet }) => {
  await releaseMarks(services.database, sheet.key, false);
  return done("Students do not see marks any more.");
});
