import { redirect } from "react-router";
import * as z from "zod";
import type { ExerciseContent } from "../../../core/exercises/exercise.ts";
import { noteSheetOfPlan, type Plan } from "../../../server/exercises/planStore.ts";
import type { Services } from "../../../server/services.ts";
import { sheetOfContents } from "../../../server/sheets/sheetOfContents.ts";
import { defineAction, refused } from "../../actions.ts";
import { field } from "../../forms.ts";

const fields = z.object({
  title: field.text(200),
  course: field.text(100),
  exercise: field.list(),
  second: field.ticked(),
});

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
    const twins = chosen.flatMap(({ twin }) => (twin && typeof twin !== "string" ? [twin] : []));
    const { second } = given;
    if (second && twins.length < chosen.length)
      return refused(
        `There are equal ones of ${twins.length} of the ${chosen.length} chosen exercises; choose those only. Nothing was made.`,
      );
    const named = (contents: readonly ExerciseContent[]) =>
      contents.map((content, index) => ({
        title: plan.wish.kinds.length > 0 ? (chosen[index]?.title ?? title) : `${plan.title} ${index + 1}`,
        content,
      }));
    const { database } = services;
    const first = named(chosen.map(({ content }) => content));
    const sheet = await sheetOfContents(database, given.course, second ? `${title}, A` : title, first);
    if (second) await sheetOfContents(database, given.course, `${title}, B`, named(twins));
    await noteSheetOfPlan(services.database, plan.key, sheet);
    return redirect(`/sheets/${sheet}`);
  },
});
