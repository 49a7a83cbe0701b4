import * as z from "zod";
import { placeExercise } from "../../../server/sheets/sheetStore.ts";
import { defineAction, done } from "../../actions.ts";
import { field } from "../../forms.ts";
import type { ExerciseContext } from "./exerciseAction.ts";

/** Puts the exercise at the end of a sheet. */
export const place = defineAction<ExerciseContext, { sheet: string }>({
  intent: "place",
  schema: z.object({ sheet: field.text(100) }),
  does: async ({ services, exercise }, { sheet }) => {
    await placeExercise(services.database, sheet, exercise.key);
    return done("It is on the sheet.");
  },
});
