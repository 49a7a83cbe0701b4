import { redirect } from "react-router";
import * as z from "zod";
import { addExercise } from "../../../server/exercises/exerciseStore.ts";
import { remake } from "../../../server/exercises/remake.ts";
import { twinOf } from "../../../server/exercises/twinOf.ts";
import { defineAction, refused } from "../../actions.ts";
import { field } from "../../forms.ts";
import { defineExerciseAction, type ExerciseContext } from "./exerciseAction.ts";

/** The programs changed by hand: all keys are made anew from runs, and nothing is kept that its check speaks against. */
export const prove = defineExerciseAction({
  intent: "prove",
  fields: { program: field.text(200_000), mended: field.text(200_000) },
  changes: async ({ services, exercise }, { program, mended }) => {
    if (program.trim() === "") return "There is no program. Nothing was changed.";
    const { content, reasons } = await remake(services, exercise.content, {
      program,
      mended: mended.trim() === "" ? null : mended,
    });
    return reasons.length > 0 ? `${reasons.join(" ")} Nothing was changed.` : { content };
  },
});

const fields = z.object({ seed: field.whole(0, 1_000_000) });

/** An equal exercise in another scene, for whoever sits beside. */
export const twin = defineAction<ExerciseContext, z.output<typeof fields>>({
  intent: "twin",
  schema: fields,
  does: async ({ services, exercise }, { seed }) => {
    const made = await twinOf(services, exercise.content, seed);
    if (typeof made === "string") return refused(`${made} Nothing was made.`);
    const key = await addExercise(
      services.database,
      exercise.faulty_case,
      `${exercise.title} (scene ${seed})`,
      made.content,
    );
    return redirect(`/exercises/${key}`);
  },
});
