import { field } from "../../forms.ts";
import { defineExerciseAction } from "./exerciseAction.ts";

/** Title and purpose, as students see them. */
export const words = defineExerciseAction({
  intent: "words",
  fields: { title: field.text(200), intro: field.text(20_000) },
  changes: async ({ exercise }, { title, intro }) => ({
    title: title.trim() || exercise.title,
    content: { ...exercise.content, intro },
  }),
});
