import { redirect } from "react-router";
import { z } from "zod";
import { addExercise, keepReasons } from "../../../server/exercises/exerciseStore.ts";
import { noteSheetOfPlan, type Plan } from "../../../server/exercises/planStore.ts";
import type { Services } from "../../../server/services.ts";
import { addSheet, placeExercise } from "../../../server/sheets/sheetStore.ts";
import { defineAction, refused } from "../../actions.ts";
import { field } from "../../forms.ts";

const fields = z.object({ title: field.text(200), course: field.text(100), exercise: field.list() });

/** Makes a sheet of the chosen exercises of a plan, in rising level. Those with something against them stay behind. */
export const toSheet = defineAction<{ services: Services; plan: Plan }, z.output<typeof fields>>({
  intent: "sheet",
  schema: fields,
  does: async ({ services, plan }, given) => {
    const title = given.title.trim();
    if (title === "" || given.course === "") return refused("A sheet needs a title and a course.");
    const wanted = new Set(given.exercise);
    const chosen = plan.planned.filter((each, index) => wanted.has(String(index)) && each.reasons.length === 0);
    if (chosen.length === 0) return refused("Choose at least one exercise that nothing speaks against.");
    const sheet = await addSheet(services.database, given.course, title);
    for (const [index, each] of chosen.entries()) {
      const key = await addExercise(
        services.database,
        null,
        plan.wish.kinds.length > 0 ? each.title : `${plan.title} ${index + 1}`,
        each.content,
      );
      await keepReasons(services.database, key, 0, []);
      await placeExercise(services.database, sheet, key);
    }
    await noteSheetOfPlan(services.database, plan.key, sheet);
    return redirect(`/sheets/${sheet}`);
  },
});
