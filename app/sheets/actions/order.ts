import * as z from "zod";
import {
  moveExercise,
  placeExercise,
  removeExercise,
  setLevel,
  setSection,
} from "../../../server/sheets/sheetStore.ts";
import { defineAction, done } from "../../actions.ts";
import { field } from "../../forms.ts";
import type { SheetContext } from "./sheetAction.ts";

const schema = z.object({ exercise: field.text(100) });

const order = (intent: string, change: (context: SheetContext, exercise: string) => Promise<void>) =>
  defineAction<SheetContext, { exercise: string }>({
    intent,
    schema,
    does: async (context, { exercise }) => {
      await change(context, exercise);
      return done();
    },
  });

/** Moves an exercise one place up. */
export const up = order("up", ({ services, sheet }, key) => moveExercise(services.database, sheet.key, key, -1));
/** Moves an exercise one place down. */
export const down = order("down", ({ services, sheet }, key) => moveExercise(services.database, sheet.key, key, 1));
/** Takes an exercise off the sheet. */
export const off = order("off", ({ services, sheet }, key) => removeExercise(services.database, sheet.key, key));
/** Puts an exercise on the sheet. */
export const on = order("on", ({ services, sheet }, key) => placeExercise(services.database, sheet.key, key));

/** The level of an exercise on this sheet, 0 for as measured, and the part of the sheet that it belongs to. */
export const level = defineAction<SheetContext, { exercise: string; level: number; section: string }>({
  intent: "level",
  schema: z.object({ exercise: field.text(100), level: field.whole(0, 5), section: field.text(80) }),
  does: async ({ services, sheet }, given) => {
    await setLevel(services.database, sheet.key, given.exercise, given.level || null);
    await setSection(services.database, sheet.key, given.exercise, given.section.trim());
    return done();
  },
});
