import { redirect } from "react-router";
import { z } from "zod";
import type { ExerciseContent } from "../../../core/exercises/exercise.ts";
import { addExercise, keepReasons } from "../../../server/exercises/exerciseStore.ts";
import { noteSheetOfPlan, type Plan } from "../../../server/exercises/planStore.ts";
import type { Services } from "../../../server/services.ts";
import { addSheet, placeExercise } from "../../../server/sheets/sheetStore.ts";
import { defineAction, refused } from "../../actions.ts";
import { field } from "../../forms.ts";

const fields = z.object({
  title: field.text(200),
  course: field.text(100),
  exercise: field.list(),
  second: field.ticked(),
});

/** A sheet with exercises on it, each checked when it was planned. */
async function sheetOf(
  { database }: Services,
  course: string,
  title: string,
  titles: readonly string[],
  contents: readonly ExerciseContent[],
): Promise<string> {
  const sheet = await addSheet(database, course, title);
  for (const [index, content] of contents.entries()) {
    const key = await addExercise(database, null, titles[index] ?? title, content);
    await keepReasons(database, key, 0, []);
    await placeExercise(database, sheet, key);
  }
  return sheet;
}

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
    const contents = chosen.map(({ content }) => content);
    const twins = chosen.flatMap(({ twin }) => (twin && typeof twin !== "string" ? [twin] : []));
    const { second } = given;
    if (second && twins.length < chosen.length)
      return refused(
        `There are equal ones of ${twins.length} of the ${chosen.length} chosen exercises; choose those only. Nothing was made.`,
      );
    const titles = chosen.map(({ title: own }, index) =>
      plan.wish.kinds.length > 0 ? own : `${plan.title} ${index + 1}`,
    );
    const sheet = await sheetOf(services, given.course, second ? `${title}, A` : title, titles, contents);
    if (second) await sheetOf(services, given.course, `${title}, B`, titles, twins);
    await noteSheetOfPlan(services.database, plan.key, sheet);
    return redirect(`/sheets/${sheet}`);
  },
});
