import { redirect } from "react-router";
import * as z from "zod";
import { missedExercises, sheetResults } from "../../../server/results/sheetResults.ts";
import type { Services } from "../../../server/services.ts";
import { addSheet, placeExercise, type Sheet } from "../../../server/sheets/sheetStore.ts";
import { defineAction, refused } from "../../actions.ts";

/** Makes a sheet, not set yet, of what the class missed, and goes to it. */
export const sheetOfMissed = defineAction<{ services: Services; sheet: Sheet }, unknown>({
  intent: "missed",
  schema: z.unknown(),
  does: async ({ services, sheet }) => {
    const results = await sheetResults(services, sheet);
    const missed = results ? missedExercises(results) : [];
    if (missed.length === 0) return refused("Nothing was missed by the class.");
    const key = await addSheet(services.database, sheet.course, `${sheet.title}: what was missed`);
    for (const exercise of missed) await placeExercise(services.database, key, exercise.key);
    return redirect(`/sheets/${key}`);
  },
});
